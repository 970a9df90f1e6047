import { writtenWay } from '@/catalogue/messages/written-way';
import type { LetterTexts, OutcomeLetter } from '@/core/review';

/** A kept letter, on one page of paper, in one of the languages it was written in. */
export function LetterSheet({ letter, texts }: { letter: OutcomeLetter; texts: LetterTexts }) {
  const { clinic, author, words } = letter;
  const { language, title, date, paragraphs, measures, goals, programme, caution } = texts;
  return (
    <article
      data-letter
      lang={language}
      dir={writtenWay(language)}
      className="grid max-w-4xl gap-4 border-t border-hair pt-6 break-after-page first-of-type:border-0 first-of-type:pt-0 last:break-after-auto print:border-0"
    >
      <header className="flex flex-wrap justify-between gap-4">
        <p dir="auto">
          {clinic.name}, <bdi dir="ltr">{clinic.phone}</bdi>
        </p>
        <p>{date}</p>
      </header>
      <h2 className="text-xl" dir="auto">
        {title}
      </h2>
      {paragraphs.map((text) => (
        <p key={text} dir="auto">
          {text}
        </p>
      ))}
      {measures.items.length > 0 && (
        <table className="w-full">
          <caption className="text-start font-semibold">{measures.title}</caption>
          <tbody>
            {measures.items.map(({ name, first, last, verdict }) => (
              <tr key={name} className="border-b border-hair">
                <th scope="row" className="py-1 pe-3 text-start font-normal">
                  {name}
                </th>
                <td className="figures pe-3 whitespace-nowrap">
                  <bdi>{first}</bdi>
                </td>
                <td className="figures pe-3 whitespace-nowrap">
                  <bdi>{last}</bdi>
                </td>
                <td>{verdict}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <List {...goals} />
      <List {...programme} />
      {words !== '' && <p dir="auto">{words}</p>}
      <p dir="auto">{author}</p>
      <p className="text-small text-soft">{caution}</p>
    </article>
  );
}

function List({ title, items }: { title: string; items: readonly string[] }) {
  if (items.length === 0) return null;
  return (
    <section>
      <h3 className="font-semibold">{title}</h3>
      <ul className="list-disc ps-5">
        {items.map((item) => (
          <li key={item} dir="auto">
            {item}
          </li>
        ))}
      </ul>
    </section>
  );
}
