import {
  type Figure,
  type Lit,
  MUSCLES,
  type MarkName,
  type Muscle,
  type Push,
} from '@/core/figure';
import { REST_PLACES, WAYS, type Way, placeInWords, wayOf } from '@/core/studio';
import { Button } from '../../primitives/button';
import { Choice } from '../../primitives/field';
import type { Act } from './figure-studio';
import { Panel } from './panel';

const WAY_NAMES = Object.keys(WAYS) as Way[];
const MOST_LIT = 12;
const MOST_PUSHES = 6;

/** What works or is stretched, and what pushes against what. */
export function RegionsPanel({ figure, act }: { figure: Figure; act: Act }) {
  const { lit, pushes, poses } = figure;
  const light = (next: readonly Lit[]) => act({ kind: 'set', change: { lit: next } });
  const press = (next: readonly Push[]) => act({ kind: 'set', change: { pushes: next } });
  return (
    <>
      <Panel title={`Works or is stretched (${lit.length})`}>
        <ul>
          {lit.map((one, index) => {
            const replace = (next: Lit) => light(lit.toSpliced(index, 1, next));
            const { muscle, as } = one;
            return (
              <li
                key={index}
                className="grid grid-cols-[minmax(0,2fr)_minmax(0,1.3fr)_minmax(0,1.3fr)_auto] items-end gap-2 py-1"
              >
                <Choice
                  label={`Region ${index + 1}`}
                  value={muscle}
                  onChange={({ target }) => replace({ ...one, muscle: target.value as Muscle })}
                >
                  {MUSCLES.map((name) => (
                    <option key={name}>{name}</option>
                  ))}
                </Choice>
                <Choice
                  label="It"
                  value={as}
                  onChange={({ target }) =>
                    replace({ ...one, as: target.value === 'stretched' ? 'stretched' : 'working' })
                  }
                >
                  <option value="working">works</option>
                  <option value="stretched">is stretched</option>
                </Choice>
                <Choice
                  label="Side"
                  value={one.side ?? ''}
                  onChange={({ target }) => replace(sided({ muscle, as }, target.value))}
                >
                  <option value="">both</option>
                  <option>right</option>
                  <option>left</option>
                </Choice>
                <Button
                  onClick={() => light(lit.toSpliced(index, 1))}
                  aria-label={`Remove region ${index + 1}`}
                >
                  Remove
                </Button>
              </li>
            );
          })}
        </ul>
        <Button
          className="mt-1"
          disabled={lit.length >= MOST_LIT}
          onClick={() => light([...lit, { muscle: MUSCLES[0], as: 'working' }])}
        >
          Add a region
        </Button>
      </Panel>
      <Panel title={`Pushes without moving (${pushes.length})`}>
        <ul>
          {pushes.map((one, index) => {
            const replace = (next: Push) => press(pushes.toSpliced(index, 1, next));
            return (
              <li
                key={index}
                className="grid grid-cols-[minmax(0,1.6fr)_minmax(0,1.2fr)_minmax(0,1.6fr)_auto] items-end gap-2 py-1"
              >
                <Choice
                  label={`Push ${index + 1}, from the`}
                  value={one.from}
                  onChange={({ target }) => replace({ ...one, from: target.value as MarkName })}
                >
                  {[...new Set([...REST_PLACES, 'palmRight', 'palmLeft', one.from] as const)].map(
                    (mark) => (
                      <option key={mark} value={mark}>
                        {placeInWords(mark)}
                      </option>
                    ),
                  )}
                </Choice>
                <Choice
                  label="Which way"
                  value={wayOf(one.way) ?? ''}
                  onChange={({ target }) => replace({ ...one, way: WAYS[target.value as Way] })}
                >
                  {wayOf(one.way) === null && <option value="">between two ways</option>}
                  {WAY_NAMES.map((way) => (
                    <option key={way}>{way}</option>
                  ))}
                </Choice>
                <Choice
                  label="In"
                  value={one.at?.join() ?? ''}
                  onChange={({ target: { value } }) => {
                    const { from, way, turn } = one;
                    replace({
                      from,
                      way,
                      ...(turn ? { turn } : {}),
                      ...(value === '' ? {} : { at: value.split(',').map(Number) }),
                    });
                  }}
                >
                  <option value="">all poses but the first</option>
                  {poses.map((_, pose) => (
                    <option key={pose} value={pose}>
                      pose {pose + 1}
                    </option>
                  ))}
                  {one.at && one.at.length > 1 && (
                    <option value={one.at.join()}>
                      poses {one.at.map((pose) => pose + 1).join(', ')}
                    </option>
                  )}
                </Choice>
                <Button
                  onClick={() => press(pushes.toSpliced(index, 1))}
                  aria-label={`Remove push ${index + 1}`}
                >
                  Remove
                </Button>
              </li>
            );
          })}
        </ul>
        <Button
          className="mt-1"
          disabled={pushes.length >= MOST_PUSHES}
          onClick={() => press([...pushes, { from: 'forehead', way: WAYS.forward }])}
        >
          Add a push
        </Button>
      </Panel>
    </>
  );
}

function sided(lit: Omit<Lit, 'side'>, side: string): Lit {
  return side === 'right' || side === 'left' ? { ...lit, side } : lit;
}
