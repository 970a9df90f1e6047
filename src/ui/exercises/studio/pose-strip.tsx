import { drawFigure, drawPose } from '@/core/figure';
import { MOST_OWN_POSES } from '@/core/figure';
import { type Studio, nameAtHand } from '@/core/studio';
import { FigureStill } from '../../figure/still';
import { Button } from '../../primitives/button';
import { Field } from '../../primitives/field';
import type { Act } from './figure-studio';

/** The poses in their order and the fault beside them; the one at hand has its name below. */
export function PoseStrip({ studio, act }: { studio: Studio; act: Act }) {
  const { figure, at } = studio;
  const last = figure.poses.length - 1;
  const frame = (here: boolean) =>
    `grid w-28 justify-items-center gap-1 rounded border-2 bg-sheet p-1 text-small ${here ? 'border-action' : 'border-hair'}`;
  return (
    <div className="grid gap-2">
      <ol className="flex flex-wrap gap-2" aria-label="Poses">
        {figure.poses.map((_, index) => (
          <li key={index}>
            <button
              type="button"
              className={frame(at === index)}
              aria-current={at === index ? 'step' : undefined}
              onClick={() => act({ kind: 'at', at: index })}
            >
              <FigureStill
                drawing={drawFigure(figure, index / last, { before: index > 0, inset: false })}
                label=""
                className="h-20 w-auto max-w-full"
              />
              <span className="max-w-full truncate" dir="auto">
                {index + 1}. {figure.names[index]}
              </span>
            </button>
          </li>
        ))}
        {figure.fault && (
          <li>
            <button
              type="button"
              className={frame(at === 'fault')}
              aria-current={at === 'fault' ? 'step' : undefined}
              onClick={() => act({ kind: 'at', at: 'fault' })}
            >
              <FigureStill
                drawing={drawPose(figure, figure.fault.pose, { effort: false, inset: false })}
                label=""
                className="h-20 w-auto max-w-full"
              />
              <span className="max-w-full truncate" dir="auto">
                ✕ {figure.fault.name}
              </span>
            </button>
          </li>
        )}
      </ol>
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => act({ kind: 'add pose' })}
          disabled={figure.poses.length >= MOST_OWN_POSES}
        >
          Add a pose
        </Button>
        <Button
          onClick={() => act({ kind: 'remove pose' })}
          disabled={at === 'fault' || figure.poses.length <= 2}
        >
          Remove it
        </Button>
        <Button
          onClick={() => act({ kind: 'move pose', by: -1 })}
          disabled={at === 'fault' || at === 0}
        >
          Earlier
        </Button>
        <Button
          onClick={() => act({ kind: 'move pose', by: 1 })}
          disabled={at === 'fault' || at === last}
        >
          Later
        </Button>
        <Button onClick={() => act({ kind: 'mirror' })}>Swap left and right</Button>
        {figure.fault ? (
          <Button onClick={() => act({ kind: 'remove fault' })}>Leave out the fault</Button>
        ) : (
          <Button onClick={() => act({ kind: 'add fault' })}>Draw the fault</Button>
        )}
      </div>
      <Field
        label={at === 'fault' ? 'What the fault is' : `What pose ${at + 1} is`}
        hint={
          at === 'fault'
            ? 'Shown under it: Chin pokes'
            : 'Shown under it and read aloud: Sitting tall'
        }
        value={nameAtHand(studio)}
        maxLength={at === 'fault' ? 120 : 80}
        onChange={(event) => act({ kind: 'name', name: event.target.value })}
      />
    </div>
  );
}
