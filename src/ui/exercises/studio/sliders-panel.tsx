'use client';

import { useRef } from 'react';
import type { Pose } from '@/core/figure';
import { SETTINGS, SLIDERS, setSlider, sliderOf } from '@/core/studio';
import type { Act } from './figure-studio';
import { Panel } from './panel';

/** Strokes of sliders are told from those of the canvas. */
const FIRST_STROKE = 1_000_000;

/** Head, trunk and shoulder blades by degrees and centimetres. */
export function SlidersPanel({ pose, act }: { pose: Pose; act: Act }) {
  const stroke = useRef(FIRST_STROKE);
  const next = () => {
    stroke.current += 1;
  };
  return (
    <Panel title="Head, trunk, shoulder blades" open>
      <div className="grid gap-1.5">
        {SLIDERS.map((slider) => {
          const { unit, least, most } = SETTINGS[slider];
          const value = sliderOf(pose, slider);
          const name = slider.charAt(0).toUpperCase() + slider.slice(1);
          return (
            <label
              key={slider}
              className="grid grid-cols-[11rem_minmax(0,1fr)_4.5rem] items-center gap-2"
            >
              {name}
              <input
                type="range"
                className="min-h-6 w-full accent-action"
                min={least}
                max={most}
                step={unit === 'cm' ? 0.5 : 1}
                value={value}
                aria-valuetext={`${value}${unit === 'cm' ? ' centimetres' : ' degrees'}`}
                onPointerDown={next}
                onKeyUp={next}
                onChange={(event) => {
                  const to = Number(event.target.value);
                  act({
                    kind: 'pose',
                    change: (at) => setSlider(at, slider, to),
                    stroke: stroke.current,
                  });
                }}
              />
              <span className="figures text-right text-soft">
                {String(value).replace('-', '−')}
                {unit === 'cm' ? ' cm' : '°'}
              </span>
            </label>
          );
        })}
      </div>
    </Panel>
  );
}
