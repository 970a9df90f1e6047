import { type Figure, type Lit, MOST_OWN_LIT, MUSCLES, type Muscle } from '@/core/figure';
import { Button } from '../../primitives/button';
import { Choice } from '../../primitives/field';
import type { Act } from './figure-studio';
import { Panel } from './panel';

/** What works or is stretched. */
export function RegionsPanel({ figure, act }: { figure: Figure; act: Act }) {
  const { lit } = figure;
  const light = (next: readonly Lit[]) => act({ kind: 'set', change: { lit: next } });
  return (
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
        disabled={lit.length >= MOST_OWN_LIT}
        onClick={() => light([...lit, { muscle: MUSCLES[0], as: 'working' }])}
      >
        Add a region
      </Button>
    </Panel>
  );
}

function sided(lit: Omit<Lit, 'side'>, side: string): Lit {
  return side === 'right' || side === 'left' ? { ...lit, side } : lit;
}
