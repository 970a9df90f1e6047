'use client';

import Papa from 'papaparse';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { type Strip, readStrip, stripTable } from '@/core/follow';
import { type LocalDate, addDays, daysBetween, shortDay } from '@/core/units';
import { dayAxis } from '../charts/day-axis';
import {
  type DrawnSeam,
  FILE_COLOURS,
  PAGE_COLOURS,
  type StripColours,
  STRIP_LEFT,
  STRIP_WIDTH,
  StripDrawing,
  stripLayout,
} from '../charts/strip-drawing';
import { saveBlob } from '../forms/save-file';
import { Button } from '../primitives/button';
import { StripTable } from './strip-table';

/** Exercises that are drawn without being asked for: those done most often. */
const LINES_AT_FIRST = 4;

/** Measures repeat at visits, and a long programme has many lines: they are there for who asks. */
function hiddenAtFirst(strips: readonly Strip[]): ReadonlySet<string> {
  const lines = strips.filter(({ id }) => id.startsWith('line-')).slice(LINES_AT_FIRST);
  const measures = strips.filter(({ id }) => id.startsWith('measure-'));
  return new Set([...lines, ...measures].map(({ id }) => id));
}

/** How much of the time is shown, in weeks; 0 is all of it. */
const ZOOMS = [
  [0, 'All'],
  [4, '4 weeks'],
  [8, '8 weeks'],
  [13, '3 months'],
  [26, 'Half a year'],
] as const;
const FEWEST_DAYS = 28;
const RIGHT = 10;

/**
 * The strips of a patient on one day axis: choose them, zoom, and read all of them at one day by
 * pointer or arrow keys. The table and the files hold the same.
 */
export function StripBoard({
  strips,
  seams,
  reviews,
  from,
  today,
  label,
  fileName,
}: {
  strips: readonly Strip[];
  seams: readonly DrawnSeam[];
  reviews: readonly LocalDate[];
  from: LocalDate;
  today: LocalDate;
  /** The drawing in one sentence. */
  label: string;
  /** Of files that are saved; it names nobody. */
  fileName: string;
}) {
  const [hidden, setHidden] = useState<ReadonlySet<string>>(() => hiddenAtFirst(strips));
  const [weeks, setWeeks] = useState(0);
  const [cursor, setCursor] = useState<LocalDate | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const shown = useMemo(() => strips.filter(({ id }) => !hidden.has(id)), [strips, hidden]);
  const axis = useMemo(() => {
    const zoomed = weeks === 0 ? from : addDays(today, 1 - weeks * 7);
    const first = zoomed > from ? zoomed : from;
    const least = addDays(first, FEWEST_DAYS - 1);
    return dayAxis(first, today > least ? today : least, STRIP_WIDTH);
  }, [weeks, from, today]);
  const { height } = stripLayout(shown);
  const box = `${-STRIP_LEFT} 0 ${STRIP_WIDTH + STRIP_LEFT + RIGHT} ${height}`;
  const drawing = useMemo(
    () => <StripDrawing strips={shown} axis={axis} seams={seams} reviews={reviews} />,
    [shown, axis, seams, reviews],
  );
  const last = axis.dates.at(-1) ?? today;

  function dateAt(event: PointerEvent<SVGSVGElement>): LocalDate | null {
    const area = event.currentTarget.getBoundingClientRect();
    const unit = (STRIP_WIDTH + STRIP_LEFT + RIGHT) / area.width;
    const x = (event.clientX - area.left) * unit - STRIP_LEFT;
    const index = Math.floor(x / axis.x.step());
    return axis.dates[index] ?? null;
  }
  function onKey(event: KeyboardEvent) {
    const steps: Readonly<Record<string, number>> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      PageUp: -7,
      PageDown: 7,
    };
    const first = axis.dates[0] ?? from;
    const end = today < last ? today : last;
    const here = cursor ?? end;
    const next =
      event.key === 'Home'
        ? first
        : event.key === 'End'
          ? end
          : steps[event.key] === undefined
            ? null
            : addDays(here, steps[event.key] ?? 0);
    if (event.key === 'Escape') setCursor(null);
    if (next === null) return;
    event.preventDefault();
    setCursor(next < first ? first : next > end ? end : next);
  }

  const table = () =>
    stripTable(
      shown,
      axis.dates.filter((date) => date <= today),
    );
  function saveCsv() {
    const rows = table().map(({ date, cells }) => [date, ...cells]);
    const text = Papa.unparse({ fields: ['Day', ...shown.map(({ name }) => name)], data: rows });
    saveBlob(new Blob([text], { type: 'text/csv' }), `${fileName}.csv`);
  }
  /** The drawing as it stands, with fixed colours instead of the page's. */
  function svgText(): string {
    const copy = svg.current?.cloneNode(true) as SVGSVGElement | undefined;
    if (!copy) return '';
    copy.querySelector('[data-cursor]')?.remove();
    const [x = '0', y = '0', width = '0', tall = '0'] = box.split(' ');
    for (const name of ['class', 'role', 'tabindex', 'aria-roledescription', 'aria-label'])
      copy.removeAttribute(name);
    copy.setAttribute('width', width);
    copy.setAttribute('height', tall);
    copy.setAttribute('font-family', 'sans-serif');
    const paper = document.createElementNS(copy.namespaceURI, 'rect');
    for (const [name, value] of Object.entries({ x, y, width, height: tall }))
      paper.setAttribute(name, value);
    paper.setAttribute('fill', FILE_COLOURS.paper);
    const title = document.createElementNS(copy.namespaceURI, 'title');
    title.textContent = label;
    copy.prepend(title, paper);
    return inFileColours(new XMLSerializer().serializeToString(copy));
  }
  async function savePng() {
    const picture = new Image();
    picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText())}`;
    await picture.decode();
    const canvas = document.createElement('canvas');
    // Twice the drawing's own size, so that it can be printed.
    canvas.width = picture.width * 2;
    canvas.height = picture.height * 2;
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    canvas.toBlob((blob) => blob && saveBlob(blob, `${fileName}.png`), 'image/png');
  }

  const x = cursor === null ? undefined : axis.x(cursor);
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <fieldset className="flex flex-wrap items-center gap-x-3">
          <legend className="sr-only">Strips</legend>
          {strips.map(({ id, name }) => (
            <label key={id} className="flex items-center gap-1.5 py-0.5">
              <input
                type="checkbox"
                checked={!hidden.has(id)}
                onChange={() => {
                  const next = new Set(hidden);
                  if (!next.delete(id)) next.add(id);
                  setHidden(next);
                }}
              />
              {name}
            </label>
          ))}
        </fieldset>
        <label className="ml-auto flex items-center gap-2">
          <span className="text-soft">Show</span>
          <select
            className="rounded border border-edge bg-sheet px-2 py-1"
            value={weeks}
            onChange={(event) => setWeeks(Number(event.target.value))}
          >
            {ZOOMS.filter(([span]) => span === 0 || span * 7 < daysBetween(from, today) + 1).map(
              ([span, name]) => (
                <option key={span} value={span}>
                  {name}
                </option>
              ),
            )}
          </select>
        </label>
      </div>
      <div className="overflow-x-auto">
        <svg
          ref={svg}
          role="application"
          aria-roledescription="strips"
          aria-label={`${label} Arrow keys read a day, page keys a week.`}
          tabIndex={0}
          viewBox={box}
          className="w-full min-w-[46rem]"
          onPointerMove={(event) => setCursor(dateAt(event))}
          onPointerLeave={() => setCursor(null)}
          onKeyDown={onKey}
        >
          {drawing}
          {x !== undefined && (
            <rect
              data-cursor=""
              x={x - 1}
              y={4}
              width={axis.x.bandwidth() + 2}
              height={height - 24}
              fill="var(--action)"
              fillOpacity={0.13}
              stroke="var(--action)"
              strokeWidth={0.8}
            />
          )}
        </svg>
      </div>
      <div
        role="status"
        className="flex min-h-12 flex-wrap items-baseline gap-x-5 border-t border-hair pt-1"
        data-testid="cursor"
      >
        {cursor === null ? (
          <span className="text-soft">
            Point at a day, or step through with the arrow keys, to read all strips at once.
          </span>
        ) : (
          <>
            <strong className="font-semibold">{shortDay(cursor)}</strong>
            {shown.map((strip) => {
              const said = readStrip(strip, cursor);
              return said === '' ? null : (
                <span key={strip.id}>
                  <span className="text-soft">{strip.name}</span> <span dir="auto">{said}</span>
                </span>
              );
            })}
          </>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <Button onClick={saveCsv}>Save as CSV</Button>
        <Button
          onClick={() =>
            saveBlob(new Blob([svgText()], { type: 'image/svg+xml' }), `${fileName}.svg`)
          }
        >
          Save as SVG
        </Button>
        <Button onClick={() => void savePng()}>Save as PNG</Button>
      </div>
      <StripTable shown={shown} rows={table} />
    </div>
  );
}

function inFileColours(text: string): string {
  const names = Object.keys(PAGE_COLOURS) as (keyof StripColours)[];
  return names.reduce(
    (changed, name) => changed.replaceAll(PAGE_COLOURS[name], FILE_COLOURS[name]),
    text,
  );
}
