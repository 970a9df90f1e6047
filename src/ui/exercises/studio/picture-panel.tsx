import { type Figure, VIEWS, type View } from '@/core/figure';
import { Choice } from '../../primitives/field';
import type { Act } from './figure-studio';
import { Panel } from './panel';

const VIEW_WORDS: Readonly<Record<View, string>> = {
  side: 'from the side',
  front: 'from the front',
  quarter: 'half from the front',
  back: 'from behind',
  above: 'from above',
};

/** From where it is seen, how much of it, and how it goes on. */
export function PicturePanel({ figure, act }: { figure: Figure; act: Act }) {
  const { view, crop, path, eyesClosed, stages } = figure;
  return (
    <Panel title="Picture">
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label="Seen"
          value={view}
          onChange={({ target }) => act({ kind: 'set', change: { view: target.value as View } })}
        >
          {VIEWS.map((one) => (
            <option key={one} value={one}>
              {VIEW_WORDS[one]}
            </option>
          ))}
        </Choice>
        <Choice
          label="Shows"
          value={crop}
          onChange={({ target }) =>
            act({ kind: 'set', change: { crop: target.value === 'upper' ? 'upper' : 'whole' } })
          }
        >
          <option value="whole">the whole body</option>
          <option value="upper">head and shoulders, the whole body small beside them</option>
        </Choice>
        <Choice
          label="After the last pose"
          value={path}
          onChange={({ target }) =>
            act({ kind: 'set', change: { path: target.value === 'round' ? 'round' : 'back' } })
          }
        >
          <option value="back">back the way it came</option>
          <option value="round">on to the first again</option>
        </Choice>
        <label className="flex items-center gap-2 self-end pb-1.5">
          <input
            type="checkbox"
            className="size-4"
            checked={eyesClosed === true}
            onChange={({ target }) =>
              act({ kind: 'set', change: { eyesClosed: target.checked ? true : undefined } })
            }
          />
          Done with the eyes closed
        </label>
      </div>
      {stages && (
        <p className="pt-2 text-small text-soft">
          Its poses are places that are held, one for each {stages.by} of the dose.{' '}
          <button
            type="button"
            className="text-action underline"
            onClick={() => act({ kind: 'set', change: { stages: null } })}
          >
            Make them one movement
          </button>
        </p>
      )}
    </Panel>
  );
}
