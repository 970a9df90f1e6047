import {
  HAND_SHAPES,
  type HandShape,
  MARKS,
  type MarkName,
  type Pose,
  skeletonOf,
} from '@/core/figure';
import {
  REST_PLACES,
  type Side,
  WAYS,
  type Way,
  facePalm,
  layHand,
  palmFaces,
  placeInWords,
  pointToes,
  restsOn,
  shapeHand,
  toesPoint,
} from '@/core/studio';
import { Choice } from '../../primitives/field';
import { Notice, useNotice } from './notice';
import type { Act } from './figure-studio';
import { Panel } from './panel';

const WAY_NAMES = Object.keys(WAYS) as Way[];
const isMark = (name: string): name is MarkName => Object.hasOwn(MARKS, name);

/** What hands lie on and do, and where toes point. */
export function LimbsPanel({ pose, act }: { pose: Pose; act: Act }) {
  const notice = useNotice();
  return (
    <Panel title="Hands and feet">
      <div className="grid gap-3 sm:grid-cols-2">
        {(['right', 'left'] as const).map((side) => (
          <Limbs key={side} pose={pose} side={side} act={act} refuse={notice.say} />
        ))}
      </div>
      <Notice {...notice} />
    </Panel>
  );
}

function Limbs({
  pose,
  side,
  act,
  refuse,
}: {
  pose: Pose;
  side: Side;
  act: Act;
  refuse: (say: string) => void;
}) {
  const on = restsOn(pose, side);
  const change = (next: (at: Pose) => Pose) => act({ kind: 'pose', change: next });
  function lay(place: MarkName | null) {
    const laid = layHand(pose, side, place);
    refuse(
      laid === null && place
        ? `From here the ${side} hand does not reach the ${placeInWords(place)}.`
        : '',
    );
    if (laid) change(() => laid);
  }
  return (
    <div className="grid content-start gap-2">
      <Choice
        label={`The ${side} hand is`}
        value={on ?? ''}
        onChange={({ target }) => lay(isMark(target.value) ? target.value : null)}
      >
        <option value="">free in the room</option>
        {REST_PLACES.map((name) => (
          <option key={name} value={name}>
            on the {placeInWords(name)}
          </option>
        ))}
      </Choice>
      <Choice
        label={`Shape of the ${side} hand`}
        value={skeletonOf(pose).hands[side]}
        onChange={({ target }) => change((at) => shapeHand(at, side, target.value as HandShape))}
      >
        {HAND_SHAPES.map((shape) => (
          <option key={shape}>{shape}</option>
        ))}
      </Choice>
      {on === null && (
        <Choice
          label={`The ${side} palm looks`}
          value={palmFaces(pose, side) ?? ''}
          onChange={({ target }) =>
            change((at) => facePalm(at, side, target.value === '' ? null : (target.value as Way)))
          }
        >
          <option value="">as the forearm turns it</option>
          {WAY_NAMES.map((way) => (
            <option key={way}>{way}</option>
          ))}
        </Choice>
      )}
      <Choice
        label={`The ${side} toes point`}
        value={toesPoint(pose, side) ?? ''}
        onChange={({ target }) => change((at) => pointToes(at, side, target.value as Way))}
      >
        {toesPoint(pose, side) === null && <option value="">between two ways</option>}
        {WAY_NAMES.map((way) => (
          <option key={way}>{way}</option>
        ))}
      </Choice>
    </div>
  );
}
