import type { Worded } from './worded';

export const STRETCH_EXERCISES = {
  'side-neck-stretch': {
    steps: [
      'Sit tall and let your ear sink towards one shoulder until you first feel a pull. Stay there.',
      'When told, go on to the next sense of pull, then the third. Do not bounce.',
      'Come back slowly: make yourself long as you rise.',
    ],
    cues: ['No bouncing', 'Shoulder stays down', 'Breathe out into it'],
    faults: {
      'Shoulder comes up to the ear': 'Sit on that hand',
      Bounces: 'Wait for it to soften',
    },
    feel: 'A pull along the side of the neck.',
    normal: 'A strong but easy pull that softens.',
    stop: 'Tingling in the hand.',
    watch: 'Short, tight side only where measured. Not into tingling.',
  },
  'blade-lifter-stretch': {
    steps: [
      'Sit tall, one hand holding the seat behind you.',
      'Turn your nose to the other armpit and let the head sink there until it pulls.',
    ],
    cues: ['Nose to the armpit', 'Hand keeps the shoulder down'],
    faults: {
      'Slumps into it': 'Sit tall first',
      'Pulls with the hand': 'The weight of the head is enough',
    },
    feel: 'A pull from the skull to the top of the shoulder blade.',
    normal: 'A pull that softens.',
    stop: 'Tingling in the hand.',
    watch: 'Often short in desk work; leave the loose lower neck alone.',
  },
  'chest-stretch': {
    steps: [
      'Stand and clasp your hands behind you.',
      'Lift your wrists up off your back and open your chest.',
      'Keep your chin level and breathe out into the stretch.',
    ],
    cues: ['Chin level', 'Wrists off the back', 'Breathe out'],
    faults: {
      'Chin pokes': 'Tuck a little first',
      'Low back arches': 'Squeeze the buttocks a little',
    },
    feel: 'A pull across the front of the chest.',
    normal: 'A pull that softens.',
    stop: 'Pinching on top of the shoulder.',
    watch: 'The chin does not poke. Shoulder trouble: smaller.',
  },
  'doorway-stretch': {
    steps: [
      'Stand in a doorway, forearm on the frame, elbow at shoulder height.',
      'Step through a little until the chest pulls.',
    ],
    cues: ['Elbow bent', 'Ribs down'],
    faults: { 'Shoulder rolls forward': 'Blade back first', Leans: 'Step, do not lean' },
    feel: 'A pull at the front of the chest and shoulder.',
    normal: 'A pull that softens.',
    stop: 'Tingling down the arm, or the shoulder feeling it may slip.',
    watch: 'Not for a shoulder that slips out.',
  },
  'hip-front-stretch': {
    steps: [
      'Kneel on one knee on something soft, the other foot in front.',
      'Tuck the tail under, then shift forward a little until the front of the hip pulls.',
    ],
    cues: ['Tail under first', 'Tall'],
    faults: { 'Back arches': 'Tail under again, shift less', Sways: 'A hand on a chair' },
    feel: 'A pull at the front of the hip.',
    normal: 'A pull that softens.',
    stop: 'Pain in the kneecap.',
    watch: 'Where long sitting tips the pelvis forward.',
  },
} satisfies Worded;
