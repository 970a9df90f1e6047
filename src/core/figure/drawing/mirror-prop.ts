import { mirrorMark, mirrorVec } from '../body';
import type { DrawnProp, Place } from '../figure';

const mirrorPlace = (place: Place): Place => {
  if (!('on' in place)) return mirrorVec(place);
  return {
    on: mirrorMark(place.on),
    ...(place.away ? { away: mirrorVec(place.away) } : {}),
  };
};

/** A thing on the other side. */
export function mirrorProp(prop: DrawnProp): DrawnProp {
  switch (prop.kind) {
    case 'ball':
    case 'roll':
    case 'pad':
    case 'pillow':
    case 'block':
    case 'blanket':
    case 'weight':
      return { ...prop, at: mirrorPlace(prop.at) };
    case 'band':
    case 'cloth':
    case 'strap':
      return { ...prop, through: prop.through.map(mirrorPlace) };
    case 'doorframe':
      return { ...prop, z: 0 - prop.z };
    case 'wall':
    case 'chair':
    case 'bed':
    case 'mat':
    case 'bench':
    case 'wedge':
      return prop;
  }
}
