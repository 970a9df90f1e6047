import { type Handout, type HandoutExercise, type HandoutWeek, MOST_BOXES } from '@/core/handout';
import { DoseSigns } from '../figure/dose-signs';
import { FigureKey } from '../figure/figure-key';
import { FigureStill } from '../figure/still';
import { QrCode } from './qr';

/** The handout as a page: shown, printed, and sent as a file from the same markup. */
export function HandoutSheet({ handout, large }: { handout: Handout; large: boolean }) {
  const { clinic, exercises, words } = handout;
  return (
    <article
      className={`handout${large ? ' large' : ''}`}
      lang={handout.language}
      dir={handout.way}
    >
      <header>
        <div>
          <h1>{words.title}</h1>
          <p>
            <bdi>{clinic.name}</bdi>, <bdi dir="ltr">{clinic.phone}</bdi>
          </p>
          <p>{words.head.join(' ')}</p>
        </div>
        <div className="qr">
          <QrCode text={handout.address} label={words.code} />
          {words.page}
        </div>
      </header>
      {words.shared && <p className="numbers">{words.shared}</p>}
      {exercises.map((exercise, index) => (
        <Exercise
          key={exercise.lineage}
          exercise={exercise}
          nth={index + 1}
          noDrawing={words.noDrawing}
        />
      ))}
      {exercises.some(({ pictures }) => pictures.length > 0) && (
        <FigureKey className="key" say={(sign) => words.key[sign ?? ''] ?? ''} />
      )}
      <Week week={handout.week} title={words.week} exercise={words.exercise} />
      <section className="stop">
        <h2>{words.stop}</h2>
        <ul>
          {handout.stopSigns.map((sign) => (
            <li key={sign}>{sign}</li>
          ))}
        </ul>
        {handout.stopBeside.length > 0 && (
          <ul lang="en" dir="ltr" className="beside">
            {handout.stopBeside.map((sign) => (
              <li key={sign}>{sign}</li>
            ))}
          </ul>
        )}
        <p>
          <strong>{words.call}</strong>
        </p>
        <p dir="auto">
          <strong>{clinic.emergencyText}</strong>
        </p>
      </section>
      <p>{handout.normalSigns}</p>
      <p className="small">
        {handout.caution} {words.printed}
      </p>
    </article>
  );
}

function Exercise({
  exercise,
  nth,
  noDrawing,
}: {
  exercise: HandoutExercise;
  nth: number;
  noDrawing: string;
}) {
  const { pictures, description } = exercise;
  return (
    <section className="exercise">
      <div
        className="pictures"
        {...(description === '' ? {} : { role: 'group', 'aria-label': description })}
      >
        {pictures.map(({ name, drawing }) => (
          <figure key={name}>
            <FigureStill drawing={drawing} label="" />
            {name}
          </figure>
        ))}
        {exercise.photos.map(({ address, words }) => (
          <figure key={address}>
            {/* oxlint-disable-next-line nextjs/no-img-element -- private pictures never pass through an image cache */}
            <img src={address} alt={`${words}: ${exercise.name}`} />
            {words}
          </figure>
        ))}
        {exercise.side !== '' && <p className="side">{exercise.side}</p>}
        <DoseSigns signs={exercise.signs} />
        {pictures.length === 0 && <p className="small">{noDrawing}</p>}
      </div>
      <div>
        <h2 dir="auto">
          {nth}. {exercise.name}
        </h2>
        {exercise.complaint && <p>{exercise.complaint}</p>}
        <p className="numbers">{exercise.numbers}</p>
        {exercise.numbersBeside && (
          <p lang="en" dir="ltr" className="beside">
            {exercise.numbersBeside}
          </p>
        )}
        <ol>
          {exercise.steps.map((step) => (
            <li key={step} dir="auto">
              {step}
            </li>
          ))}
        </ol>
        {exercise.own.map((one) => (
          <p key={one} className="own">
            {one}
          </p>
        ))}
        {exercise.howMany && <p className="numbers">{exercise.howMany}</p>}
        <p>
          {exercise.about.join(' ')} {exercise.stop && <strong>{exercise.stop}</strong>}
        </p>
      </div>
    </section>
  );
}

function Week({ week, title, exercise }: { week: HandoutWeek; title: string; exercise: string }) {
  return (
    <section className="week">
      <h2>{title}</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">{exercise}</th>
            {week.days.map((day) => (
              <th key={day} scope="col">
                {day}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {week.rows.map(({ name, due, asNeeded }, index) => (
            // Two lines of one programme may carry the same name.
            <tr key={index}>
              <th scope="row" dir="auto">
                {name}
              </th>
              {due.map(({ times, words }, day) => (
                <td key={week.days[day]}>
                  <span className="sr">{words}</span>
                  <Boxes due={times} asNeeded={asNeeded} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Boxes({ due, asNeeded }: { due: number; asNeeded: boolean }) {
  const boxes = due > MOST_BOXES ? 1 : due;
  return (
    <span aria-hidden>
      {Array.from({ length: boxes }, (_, index) => (
        <span key={index} className="box" />
      ))}
      {due > MOST_BOXES && `× ${due}`}
      {due === 0 && (asNeeded ? '( )' : '–')}
    </span>
  );
}
