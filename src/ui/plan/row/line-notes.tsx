'use client';

import { propStates } from '@/core/exercise';
import { breathMisfit } from '@/core/dose';
import { bandForce, forceBand, holdCheck, loadContradiction } from '@/core/load';
import { type DeskFacts, useDeskFacts } from '../desk-facts';
import type { ReadLine } from '../draft';
import { HoldNote } from './hold-note';
import type { RowMoves } from './desk-row';
import { LoadNote } from './load-note';

type Read = Extract<ReadLine, { ok: true }>;

/** What the reckoning has to say beside a line: props, forces, bands, long holds, loads. */
export function LineNotes({
  uid,
  read,
  onRewrite,
}: {
  uid: string;
  read: Read;
  onRewrite: RowMoves['onRewrite'];
}) {
  const facts = useDeskFacts();
  const check = read.exercise.mode === 'held' ? holdCheck(read.dose) : null;
  const load = loadContradiction(read.dose);
  const said = [
    ...propNotes(read, facts),
    ...forceNotes(read, facts),
    ...bandNotes(read, facts),
    ...breathNotes(read),
  ];
  return (
    <>
      {said.map((say) => (
        <p key={say} className="text-small text-soft">
          {say}
        </p>
      ))}
      {check && (
        <HoldNote check={check} dose={read.dose} onShorter={(shorter) => onRewrite(uid, shorter)} />
      )}
      {load && <LoadNote found={load} />}
    </>
  );
}

function breathNotes({ dose }: Read): string[] {
  const misfit = breathMisfit(dose);
  if (!misfit) return [];
  const { cycle, hold, fits } = misfit;
  return [
    `One breath takes ${cycle} s and does not fit a hold of ${hold} s: ${fits.map((one) => `${one} s`).join(' or ')} would.`,
  ];
}

function propNotes({ exercise }: Read, { home }: DeskFacts): string[] {
  return propStates(exercise, home?.props ?? null).flatMap((state) =>
    state.kind === 'instead'
      ? [`${state.use} instead of ${state.prop}: ${state.consequence}.`]
      : state.kind === 'missing'
        ? [`No ${state.prop} at home, and nothing that would do.`]
        : [],
  );
}

function forceNotes({ exercise, dose }: Read, { maxima }: DeskFacts): string[] {
  return maxima
    .filter(({ kind }) => kind === exercise.strength)
    .flatMap(({ side, newtons }) => {
      const force = forceBand(dose, newtons);
      if (!force) return [];
      const span = ({ least, most }: { least: number; most: number }, digits: number) =>
        least.toFixed(digits) === most.toFixed(digits)
          ? least.toFixed(digits)
          : `${least.toFixed(digits)}–${most.toFixed(digits)}`;
      return [
        `${side === null ? '' : `${side}: `}of ${Math.round(newtons)} N measured, that is ${span(force.newtons, 0)} N (${span(force.kilograms, 1)} kg).`,
      ];
    });
}

function bandNotes({ dose: { band } }: Read, { bands }: DeskFacts): string[] {
  if (!band) return [];
  const name = band.band.kind === 'level' ? band.band.level : band.band.name;
  const curve = bands.find((one) => one.name.toLowerCase() === name.toLowerCase());
  if (!curve || band.stretchPercent === undefined) return [];
  const force = bandForce(curve.points, band.stretchPercent);
  if (!force) return [];
  return [
    `${name} at ${band.stretchPercent} % stretch pulls about ${Math.round(force.newtons)} N${
      force.extrapolated
        ? ', beyond what your clinic measured: do not rely on it.'
        : ', by your clinic’s points.'
    }`,
  ];
}
