'use client';

import { useEffect, useReducer, useRef } from 'react';
import { type Figure } from '@/core/figure';
import { describeFigure } from '@/catalogue';
import { type StudioAct, openStudio, poseAtHand, studioAfter } from '@/core/studio';
import { useKeys } from '../../forms/use-keys';
import { Button } from '../../primitives/button';
import { Canvas } from './canvas';
import { LimbsPanel } from './limbs-panel';
import { PicturePanel } from './picture-panel';
import { PoseStrip } from './pose-strip';
import { PushesPanel } from './pushes-panel';
import { RegionsPanel } from './regions-panel';
import { SlidersPanel } from './sliders-panel';
import { ThingsPanel } from './things-panel';

export type Act = (act: StudioAct) => void;

/**
 * Draws an exercise: takes hold of a body, pose by pose, and says what is around it. Every change can
 * be taken back.
 *
 * @param onChange told of every change; the drawing itself is kept by whoever shows the studio
 */
export function FigureStudio({
  figure,
  onChange,
}: {
  figure: Figure;
  onChange: (figure: Figure) => void;
}) {
  const [studio, act] = useReducer(studioAfter, figure, openStudio);
  const told = useRef(onChange);
  useEffect(() => {
    told.current = onChange;
  });
  const first = useRef(studio.figure);
  useEffect(() => {
    if (studio.figure === first.current) return;
    first.current = studio.figure;
    told.current(studio.figure);
  }, [studio.figure]);
  const undo = () => act({ kind: 'undo' });
  const redo = () => act({ kind: 'redo' });
  useKeys([
    { key: 'z', held: 'command', does: undo },
    { key: 'z', held: 'command and shift', does: redo },
    { key: 'y', held: 'command', does: redo },
  ]);
  const pose = poseAtHand(studio);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid content-start gap-3 lg:sticky lg:top-2">
        <div className="flex flex-wrap items-center gap-2">
          <Button onClick={undo} disabled={studio.past.length === 0}>
            Undo
          </Button>
          <Button onClick={redo} disabled={studio.future.length === 0}>
            Redo
          </Button>
          <p className="text-small text-soft">
            Drag a point, or move it with the arrow keys.
            <span className="sr-only">
              {' '}
              Shift goes five times as far; Page Up nearer, Page Down farther.
            </span>
          </p>
        </div>
        <Canvas studio={studio} act={act} />
        <PoseStrip studio={studio} act={act} />
        <p className="text-small text-soft">
          One-sided? Draw it for the right: the left is shown as its mirror.
        </p>
        <p className="text-small text-soft">
          <span className="font-medium text-ink">In words: </span>
          {describeFigure(studio.figure)}
        </p>
      </div>
      <div className="grid content-start gap-2">
        <SlidersPanel pose={pose} act={act} />
        <LimbsPanel pose={pose} act={act} />
        <PicturePanel figure={studio.figure} act={act} />
        <ThingsPanel figure={studio.figure} pose={pose} act={act} />
        <RegionsPanel figure={studio.figure} act={act} />
        <PushesPanel figure={studio.figure} act={act} />
      </div>
    </div>
  );
}
