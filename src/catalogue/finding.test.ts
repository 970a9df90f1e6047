import { exerciseFinder } from '@/core/find';
import { ALIASES, EXERCISES } from '.';

const find = exerciseFinder(EXERCISES, ALIASES, new Map([['Neck mobility', ['left turn less']]]));
const first = (typed: string) => find(typed, 8).exercises[0]?.id ?? null;

/** What a clinician types, and what has to stand first. Common practice, no source. */
const WANTED = `
chin tuck: tuck-seated
resisted: resisted-range
resisted through: resisted-range
chin tucks: tuck-seated
Chin Tuck: tuck-seated
CHIN TUCKS: tuck-seated
chintuck: null
seated chin tuck: tuck-seated
chin tuck sitting: tuck-seated
retraction: tuck-seated
retractions: tuck-seated
cervical retraction: tuck-seated
neck retraction: tuck-seated
double chin: tuck-seated
chin tuck supine: tuck-lying
supine chin tuck: tuck-lying
chin tuck lying: tuck-lying
tuck lying: tuck-lying
tuck ly: tuck-lying
wall chin tuck: tuck-to-wall
chin tuck wall: tuck-to-wall
standing chin tuck: tuck-to-wall
tuck wall: tuck-to-wall
headrest: tuck-to-wall
quadruped chin tuck: tuck-hands-knees
chin tuck all fours: tuck-hands-knees
prone chin tuck: tuck-bench-edge
bench edge: tuck-bench-edge
band chin tuck: band-lengthening
band retraction: band-lengthening
chin tuck head lift: tuck-lift
head lift: tuck-lift
DNF endurance: tuck-lift
dnf end: tuck-lift
neck flexor endurance: tuck-lift
tuck and lift: tuck-lift
tuck lift: tuck-lift
tuck lighten: tuck-lighten
ccf: nod-on-ball
craniocervical flexion: nod-on-ball
nod: nod-on-ball
slow nod: nod-on-ball
nod hold: nod-hold-finger-check
finger check: nod-hold-finger-check
ball under chin: chin-held-ball
lift over ball: lift-over-ball
neck turn: half-tuck-turn
neck rotation: half-tuck-turn
cervical rotation: half-tuck-turn
head turn: half-tuck-turn
resisted nod: cheekbone-nod
isometric extension: skull-base-tuck
isometric flexion: forehead-tuck
forehead: forehead-tuck
under jaw: under-jaw-tuck
isometrics: six-way-hold
neck isometrics: six-way-hold
isometric neck: six-way-hold
cervical isometric: six-way-hold
six way: six-way-hold
four way: four-way-ball
ball wall: four-way-ball
ball on wall: four-way-ball
prone neck extension: prone-neck-hold
prone head lift: prone-neck-hold
pad press: wall-press
wall press: wall-press
lateral flexion isometric: side-band-hold
towel isometric: towel-pull
towel pull: towel-pull
lateral glide: glide-press
shrug: shrug-hold
shrugs: shrug-hold
isometric shrug: shrug-hold
overhead shrug: overhead-shrug
neck arom: neck-warm-up
neck rom: neck-warm-up
warm up: neck-warm-up
warm-up: neck-warm-up
joint position sense: head-return
jpe: head-return
proprioception: head-return
neck extension: look-up-push
look up: look-up-push
towel rotation: towel-rotation
cloth turn: cloth-rotation
neck circles: head-rolls
neck rolls: head-rolls
head rolls: head-rolls
upper trap stretch: side-neck-stretch
UT stretch: side-neck-stretch
upper trapezius stretch: side-neck-stretch
scalene stretch: side-neck-stretch
scalenes: side-neck-stretch
neck stretch: side-neck-stretch
side neck: side-neck-stretch
levator: blade-lifter-stretch
levator stretch: blade-lifter-stretch
lev scap: blade-lifter-stretch
levator scapulae: blade-lifter-stretch
pec stretch: chest-stretch
pec minor: doorway-stretch
doorway: doorway-stretch
doorway pec stretch: doorway-stretch
corner stretch: doorway-stretch
hip flexor: hip-front-stretch
hip flexor stretch: hip-front-stretch
psoas: hip-front-stretch
lunge stretch: hip-front-stretch
shoulder rolls: shoulder-rolls
shoulder circles: shoulder-rolls
open book: side-lying-opening
thoracic rotation: side-lying-opening
t-spine rotation: side-lying-opening
foam roller: block-opening
foam roll: block-opening
thoracic extension: clasp-and-open
towel roll: rolled-cloth
wedge: wedge-lying
neck wedge: wedge-lying
wedge press: wedge-press
scap squeeze: blade-set
scapular retraction: blade-set
scapular setting: blade-set
scap set: blade-set
shoulder blade squeeze: blade-set
wall slide: wall-slide
wall slides: wall-slide
push up plus: floor-push-away
serratus: floor-push-away
serratus punch: floor-push-away
row: band-row
rows: band-row
band row: band-row
seated row: band-row
face pull: band-pull
face pulls: band-pull
facepull: band-pull
prone t: prone-arms-wide
prone y: prone-y
nerve floss: median-slider
nerve flossing: median-slider
nerve glide: median-slider
median nerve: median-slider
median glide: median-slider
median floss: median-slider
ulnar glide: ulnar-slider
ulnar nerve glide: ulnar-slider
ulnar: ulnar-slider
radial glide: radial-slider
radial tens: radial-tensioner
sciatic: sciatic-slider
sciatic nerve glide: sciatic-slider
sciatic floss: sciatic-slider
slump slider: sciatic-slider
slump tensioner: sciatic-tensioner
prone lying: face-down-lying
face down: face-down-lying
prone on elbows: forearm-prop
sphinx: forearm-prop
press up: press-up
press-ups: press-up
prone press up: press-up
cobra: press-up
extension in lying: press-up
standing extension: standing-back-bend
back bend: standing-back-bend
extension in standing: standing-back-bend
knee to chest: knees-to-chest
knees to chest: knees-to-chest
DKTC: knees-to-chest
flexion in sitting: sitting-bend
toe touch: standing-bend
curl up: curl-up
curl-ups: curl-up
crunch: curl-up
crunches: curl-up
glute bridge: bridge
bridge: bridge
bridges: bridge
bridging: bridge
bird dog: hands-knees-reach
bird-dog: hands-knees-reach
birddog: hands-knees-reach
opposite arm leg: hands-knees-reach
side plank: side-plank
side planks: side-plank
side bridge: side-plank
plank: front-plank
hip hinge: hip-hinge
hinge: hip-hinge
slr: straight-leg-raise
SLR: straight-leg-raise
straight leg raise: straight-leg-raise
leg raise: straight-leg-raise
quads: knee-angle-hold
diaphragmatic breathing: belly-breathing
breathing: belly-breathing
deep breathing: belly-breathing
sitting posture: sit-tall
posture: posture-reset
microbreak: posture-reset
walk: easy-walk
walking: easy-walk
levater: blade-lifter-stretch
scapuler retraction: blade-set
doorwey: doorway-stretch
retracton: tuck-seated
quadruped: tuck-hands-knees
cat cow: cat-camel
dead bug: dead-bug
clams: clamshell
superman: prone-lifts
child's pose: heels-rest
figure four: buttock-stretch
hamstring: hamstring-stretch
calf raise: calf-raise
sit to stand: sit-to-stand
squats: squat
wall angels: wall-angel
pull aparts: band-pull-apart
external rotation: band-external-rotation
lat stretch: lat-stretch
knee rolls: knee-rolls
pelvic tilt: pelvic-tilt
side glide: side-glide
lateral shift: side-glide
femoral: femoral-slider
skull base release: suboccipital-release
overpressure: retraction-overpressure
jog: easy-jog
ice: cold-pack
heat: warm-pack
kettle: waiting-reset
text neck: reading-push
hip abduction: side-leg-lift
gaze: eye-head
zzz: null
spinning class: null
deep freeze: null
left turn less: cloth-rotation
`
  .trim()
  .split('\n')
  .map((row) => {
    const [typed = '', id = ''] = row.split(': ');
    return [typed, id === 'null' ? null : id] as const;
  });

it('is held by at least 150 words', () => {
  expect(new Set(WANTED.map(([typed]) => typed)).size).toBeGreaterThanOrEqual(150);
});

it.each(WANTED)('%s', (typed, id) => {
  expect(first(typed)).toBe(id);
});

it('gives every alias the exercise it stands for, among the first three', () => {
  for (const [id, aliases] of Object.entries(ALIASES)) {
    expect(EXERCISES.map((exercise) => exercise.id)).toContain(id);
    for (const alias of aliases)
      expect([alias, find(alias, 3).exercises.map((exercise) => exercise.id)]).toEqual([
        alias,
        expect.arrayContaining([id]),
      ]);
  }
});

it('finds every exercise by its own name, first', () => {
  for (const { id, name } of EXERCISES) expect([name, first(name)]).toEqual([name, id]);
});

it('never puts a guess above a word that is there', () => {
  const [guess, word] = [find('chesk', 50), find('chest', 50)];
  expect([guess.guessed, word.guessed]).toEqual([true, false]);
  expect(guess.exercises.map(({ id }) => id)).toEqual(
    expect.arrayContaining(word.exercises.map(({ id }) => id)),
  );
  // Four letters are not guessed at: "curl" is no misspelt "curb".
  expect(find('curb', 50)).toEqual({ exercises: [], guessed: false });
});

it('takes what says nothing for nothing', () => {
  for (const typed of ['', '  ', 'the', 'of a', '/', '–'])
    expect(find(typed, 5)).toEqual({ exercises: [], guessed: false });
  expect(find('tuck', 3).exercises).toHaveLength(3);
  expect(find('nerve', 3).exercises.map(({ id }) => id)).toEqual([
    'median-slider',
    'median-tensioner',
    'ulnar-slider',
  ]);
});
