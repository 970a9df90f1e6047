import { type Figure, type Lit, MOST_OWN_LIT, MUSCLES, type Muscle } from '@/core/figure';
import { Choice } from '../../primitives/field';
import type { Act } from './figure-studio';
import { RowsPanel } from './rows-panel';

/** What works or is stretched. */
export function RegionsPanel({ figure, act }: { figure: Figure; act: Act }) {
  const { lit } = figure;
  return (
    <RowsPanel
      title="Works or is stretched"
      one="region"
      rows={lit}
      most={MOST_OWN_LIT}
      fresh={{ muscle: MUSCLES[0], as: 'working' }}
      columns="grid-cols-[minmax(0,2fr)_minmax(0,1.3fr)_minmax(0,1.3fr)_auto]"
      onRows={(next: readonly Lit[]) => act({ kind: 'set', change: { lit: next } })}
    >
      {(one, index, replace) => (
        <>
          <Choice
            label={`Region ${index + 1}`}
            value={one.muscle}
            onChange={({ target }) => replace({ ...one, muscle: target.value as Muscle })}
          >
            {MUSCLES.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Choice>
          <Choice
            label="It"
            value={one.as}
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
            onChange={({ target }) =>
              replace(sided({ muscle: one.muscle, as: one.as }, target.value))
            }
          >
            <option value="">both</option>
            <option>right</option>
            <option>left</option>
          </Choice>
        </>
      )}
    </RowsPanel>
  );
}

function sided(lit: Omit<Lit, 'side'>, side: string): Lit {
  return side === 'right' || side === 'left' ? { ...lit, side } : lit;
}
