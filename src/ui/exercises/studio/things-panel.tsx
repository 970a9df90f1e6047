import {
  type DrawnProp,
  type Figure,
  MARKS,
  MOST_OWN_THINGS,
  type MarkName,
  type Pose,
} from '@/core/figure';
import { THINGS, type Thing, hangingsOf, measuresOf, newThing, placeInWords } from '@/core/studio';
import { Button } from '../../primitives/button';
import { Choice, Field } from '../../primitives/field';
import type { Act } from './figure-studio';
import { Panel } from './panel';

const MARK_NAMES = Object.keys(MARKS) as MarkName[];
const isMark = (name: string): name is MarkName => Object.hasOwn(MARKS, name);
const isThing = (name: string): name is Thing => (THINGS as readonly string[]).includes(name);

/** What somebody sits on, holds or pushes against. */
export function ThingsPanel({ figure, pose, act }: { figure: Figure; pose: Pose; act: Act }) {
  const { props } = figure;
  const put = (next: readonly DrawnProp[]) => act({ kind: 'set', change: { props: next } });
  return (
    <Panel title={`Things (${props.length})`}>
      <Choice
        label="Add a thing"
        value=""
        disabled={props.length >= MOST_OWN_THINGS}
        onChange={({ target }) =>
          isThing(target.value) && put([...props, newThing(target.value, pose)])
        }
      >
        <option value="">Choose one</option>
        {THINGS.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </Choice>
      <ul>
        {props.map((prop, index) => {
          const replace = (next: DrawnProp) => put(props.toSpliced(index, 1, next));
          return (
            <li key={`${prop.kind} ${index}`} className="border-b border-hair py-2">
              <div className="flex items-center gap-2">
                <p className="mr-auto font-medium">
                  {prop.kind.charAt(0).toUpperCase() + prop.kind.slice(1)}
                </p>
                <Button
                  onClick={() => put(props.toSpliced(index, 1))}
                  aria-label={`Remove the ${prop.kind}`}
                >
                  Remove
                </Button>
              </div>
              <div className="grid grid-cols-3 gap-2 pt-1">
                {hangingsOf(prop, pose).map(({ name, on, hang }) => (
                  <Choice
                    key={name}
                    label={`${name === 'is' ? 'It is' : name}`}
                    value={on ?? ''}
                    onChange={({ target }) =>
                      replace(hang(isMark(target.value) ? target.value : null))
                    }
                  >
                    <option value="">in the room</option>
                    {MARK_NAMES.map((mark) => (
                      <option key={mark} value={mark}>
                        on the {placeInWords(mark)}
                      </option>
                    ))}
                  </Choice>
                ))}
                {measuresOf(prop).map(({ name, value, set }) => (
                  <Field
                    key={name}
                    label={`${name}, cm`}
                    type="number"
                    step={0.5}
                    min={-300}
                    max={300}
                    value={value}
                    onChange={({ target }) => {
                      const cm = target.valueAsNumber;
                      if (Number.isFinite(cm) && Math.abs(cm) <= 300) replace(set(cm));
                    }}
                  />
                ))}
              </div>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
