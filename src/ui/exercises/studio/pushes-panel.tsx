import { type Figure, MOST_OWN_PUSHES, type MarkName, type Push } from '@/core/figure';
import { REST_PLACES, WAYS, type Way, placeInWords, wayOf } from '@/core/studio';
import { Choice } from '../../primitives/field';
import type { Act } from './figure-studio';
import { RowsPanel } from './rows-panel';

const WAY_NAMES = Object.keys(WAYS) as Way[];

/** What pushes against what, without moving. */
export function PushesPanel({ figure, act }: { figure: Figure; act: Act }) {
  const { pushes, poses } = figure;
  return (
    <RowsPanel
      title="Pushes without moving"
      one="push"
      rows={pushes}
      most={MOST_OWN_PUSHES}
      fresh={{ from: 'forehead', way: WAYS.forward }}
      columns="grid-cols-[minmax(0,1.6fr)_minmax(0,1.2fr)_minmax(0,1.6fr)_auto]"
      onRows={(next: readonly Push[]) => act({ kind: 'set', change: { pushes: next } })}
    >
      {(one, index, replace) => (
        <>
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
        </>
      )}
    </RowsPanel>
  );
}
