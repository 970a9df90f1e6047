import { shortDay } from '@/core/units';
import {
  type Handout,
  type HandoutExercise,
  type HandoutWeek,
  MOST_BOXES,
  cellWords,
} from '@/core/handout';
import { DoseSigns } from '../figure/dose-signs';
import { EnglishKey } from '../figure/english-key';
import { FigureStill } from '../figure/still';
import { QrCode } from './qr';

/** The handout as a page: shown, printed, and sent as a file from the same markup. */
export function HandoutSheet({ handout, large }: { handout: Handout; large: boolean }) {
  const { clinic, exercises, week } = handout;
  return (
    <article className={`handout${large ? ' large' : ''}`} lang="en">
      <header>
        <div>
          <h1 dir="auto">{handout.patientName}: your exercises</h1>
          <p dir="auto">
            {clinic.name}, {clinic.phone}
          </p>
          <p>
            Version {handout.version}, from {shortDay(handout.effectiveFrom)}. {handout.review}
          </p>
          <p>
            All of it once, with rests and changes: {handout.time}.
            {handout.rounds > 1 && ` Go through it ${handout.rounds} times.`}
          </p>
        </div>
        <div className="qr">
          <QrCode text={handout.address} label="Code that opens your page on the phone" />
          Your page on the phone
        </div>
      </header>
      {exercises.map((exercise, index) => (
        <Exercise key={exercise.lineage} exercise={exercise} nth={index + 1} />
      ))}
      {exercises.some(({ pictures }) => pictures.length > 0) && <EnglishKey className="key" />}
      <Week week={week} />
      <section className="stop">
        <h2>Stop, and tell your clinic</h2>
        <ul>
          {handout.stopSigns.map((sign) => (
            <li key={sign}>{sign}</li>
          ))}
        </ul>
        <p dir="auto">
          Call {clinic.name}: <strong>{clinic.phone}</strong>
        </p>
        <p dir="auto">
          <strong>{clinic.emergencyText}</strong>
        </p>
      </section>
      <p>{handout.normalSigns}</p>
      <p className="small">
        {handout.caution} Printed on {shortDay(handout.madeOn)}.
      </p>
    </article>
  );
}

function Exercise({ exercise, nth }: { exercise: HandoutExercise; nth: number }) {
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
        {exercise.photos.map((photo, index) => (
          <figure key={photo}>
            {/* oxlint-disable-next-line nextjs/no-img-element -- private pictures never pass through an image cache */}
            <img
              src={photo}
              alt={`Your own set-up for ${exercise.name}, photo ${index + 1} of ${exercise.photos.length}`}
            />
            Your set-up{exercise.photos.length > 1 && `, ${index + 1}`}
          </figure>
        ))}
        {exercise.side !== '' && <p className="side">Drawn: {exercise.side.toLowerCase()}</p>}
        <DoseSigns signs={exercise.signs} />
        {pictures.length === 0 && (
          <p className="small">No drawing: this exercise is your clinic’s own.</p>
        )}
      </div>
      <div>
        <h2 dir="auto">
          {nth}. {exercise.name}
        </h2>
        {exercise.complaint && <p dir="auto">For: {exercise.complaint}</p>}
        <p className="numbers">{exercise.numbers}</p>
        <ol>
          {exercise.steps.map((step) => (
            <li key={step} dir="auto">
              {step}
            </li>
          ))}
        </ol>
        {exercise.setUp.map((one) => (
          <p key={one} className="own" dir="auto">
            Set up for you: {one}.
          </p>
        ))}
        {exercise.howMany && <p className="numbers">{exercise.howMany}</p>}
        {exercise.own.map((cue) => (
          <p key={cue} className="own" dir="auto">
            For you: {cue}
          </p>
        ))}
        {exercise.needs && <p>You need: {exercise.needs}.</p>}
        <p>
          {exercise.feel && `Felt: ${exercise.feel} `}
          {exercise.normal && `Normal: ${exercise.normal} `}
          {exercise.stop && (
            <>
              <strong>Stop:</strong> {exercise.stop}
            </>
          )}
        </p>
      </div>
    </section>
  );
}

function Week({ week }: { week: HandoutWeek }) {
  return (
    <section className="week">
      <h2>The week: tick what you did</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Exercise</th>
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
              {due.map((times, day) => (
                <td key={week.days[day]}>
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
    <>
      <span className="sr">{cellWords(due, asNeeded)}</span>
      <span aria-hidden>
        {Array.from({ length: boxes }, (_, index) => (
          <span key={index} className="box" />
        ))}
        {due > MOST_BOXES && `× ${due}`}
        {due === 0 && (asNeeded ? '( )' : '–')}
      </span>
    </>
  );
}
