import type { ReactNode } from 'react';

/** The clinic's own words, one paragraph after the other; ends of lines stay. */
export function NoticeWords({ paragraphs }: { paragraphs: readonly string[] }) {
  return (
    <div className="grid gap-3" dir="auto">
      {paragraphs.map((paragraph, index) => (
        <p key={index} className="whitespace-pre-line">
          {paragraph}
        </p>
      ))}
    </div>
  );
}

/** Before anything else on a device: what the clinic does with what it is told. A plain form: it works before any script. */
export function NoticeFirst({
  title,
  clinic,
  paragraphs,
  read,
  again,
  choice,
}: {
  title: string;
  clinic: string;
  paragraphs: readonly string[];
  read: string;
  again: string;
  /** The languages, before anything is to be read. */
  choice?: ReactNode;
}) {
  return (
    <section className="grid gap-5">
      {choice}
      <header className="grid gap-1">
        <h1 className="text-2xl">{title}</h1>
        <p className="text-soft" dir="auto">
          {clinic}
        </p>
      </header>
      <NoticeWords paragraphs={paragraphs} />
      <form action="/api/v1/patient/notice" method="post" className="grid gap-2">
        <button
          type="submit"
          className="grid min-h-14 place-content-center rounded bg-action px-6 py-3 text-[1.1em] font-semibold text-on-action"
        >
          {read}
        </button>
        <p className="text-soft">{again}</p>
      </form>
    </section>
  );
}
