import { shortDay } from '@/core/units';
import type { OutcomeLetter } from '@/core/review';
import { letterTitle } from '@/core/review';

/** A kept letter, on one page of paper. */
export function LetterSheet({ letter }: { letter: OutcomeLetter }) {
  const { clinic, author, date, paragraphs, measures, goals, programme, words, caution } = letter;
  return (
    <article data-letter className="grid max-w-4xl gap-4">
      <header className="flex flex-wrap justify-between gap-4">
        <p dir="auto">
          {clinic.name}, {clinic.phone}
        </p>
        <p>{shortDay(date)}</p>
      </header>
      <h2 className="text-xl" dir="auto">
        {letterTitle(letter)}
      </h2>
      {paragraphs.map((text) => (
        <p key={text} dir="auto">
          {text}
        </p>
      ))}
      {measures.length > 0 && (
        <table className="w-full">
          <caption className="text-left font-semibold">Measured first and last</caption>
          <tbody>
            {measures.map(({ name, first, last, verdict }) => (
              <tr key={name} className="border-b border-hair">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {name}
                </th>
                <td className="figures pr-3 whitespace-nowrap">{first}</td>
                <td className="figures pr-3 whitespace-nowrap">{last}</td>
                <td>{verdict}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <List title="Activities and goals" items={goals} />
      <List
        title={letter.kind === 'discharge' ? 'To keep going with' : 'What goes on'}
        items={programme}
      />
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
      <ul className="list-disc pl-5">
        {items.map((item) => (
          <li key={item} dir="auto">
            {item}
          </li>
        ))}
      </ul>
    </section>
  );
}
