'use client';

import { useState } from 'react';
import type { Exercise } from '@/core/exercise';
import type { ReadyFound } from '@/core/ready';
import type { HomeBody, TemplateDraft } from '@/core/records';
import type { Frozen, PatientId } from '@/core/units';
import { Button, buttonClass } from '../primitives/button';
import { onDemand } from '../primitives/on-demand';
import { QuietLink } from '../primitives/quiet-link';
import { templateLines } from './desk-reading';
import type { Desk } from './desk-state';
import type { DeskLine } from './draft';

const PasteDialog = onDemand(() =>
  import('./panels/paste-dialog').then((made) => made.PasteDialog),
);
const TemplatesDialog = onDemand(() =>
  import('./panels/templates-dialog').then((made) => made.TemplatesDialog),
);
const HomeDialog = onDemand(() => import('./panels/home-dialog').then((made) => made.HomeDialog));

/** What the desk offers above its lines, each by a button: templates, pasting, the home, order, keys. */
export function DeskTools({
  patientId,
  desk,
  exercises,
  templates,
  offered,
  home,
  homeId,
  today,
  onAdd,
  onApplyReady,
  onOrder,
  onFill,
  onKeys,
}: {
  patientId: PatientId;
  desk: Desk;
  exercises: readonly Exercise[];
  templates: readonly Frozen<TemplateDraft>[];
  /** The ready programmes that this clinic offers. */
  offered: readonly ReadyFound[];
  home: HomeBody | null;
  homeId: string | null;
  today: string;
  onAdd: (lines: readonly DeskLine[]) => void;
  onApplyReady: (id: string) => void;
  onOrder: () => void;
  onFill: () => void;
  onKeys: () => void;
}) {
  const [opened, setOpened] = useState<'templates' | 'paste' | 'home' | null>(null);
  const close = () => setOpened(null);
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => setOpened('templates')}>Templates</Button>
      <TemplatesDialog
        open={opened === 'templates'}
        onClose={close}
        templates={templates}
        offered={offered}
        desk={desk}
        onApplyReady={onApplyReady}
        onApply={(template) => onAdd(templateLines(template))}
      />
      <Button onClick={() => setOpened('paste')}>Paste</Button>
      <PasteDialog open={opened === 'paste'} onClose={close} exercises={exercises} onAdd={onAdd} />
      <Button onClick={() => setOpened('home')}>
        {home ? 'Home and day' : 'Ask: home and day'}
      </Button>
      <HomeDialog
        open={opened === 'home'}
        onClose={close}
        patientId={patientId}
        home={home}
        homeId={homeId}
        today={today}
      />
      <Button disabled={desk.lines.length < 2} onClick={onOrder}>
        In session order
      </Button>
      <Button disabled={desk.lines.length === 0} onClick={onFill}>
        Write all that is missing
      </Button>
      <Button look="quiet" onClick={onKeys}>
        Keys
      </Button>
      <QuietLink href={`/exercises?patient=${patientId}`} className={buttonClass('quiet')}>
        All exercises
      </QuietLink>
    </div>
  );
}
