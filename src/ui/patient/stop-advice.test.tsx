import { renderToStaticMarkup } from 'react-dom/server';
import { ENGLISH, patientWords } from '@/catalogue';
import type { PackClinic } from '@/core/exchange';
import { BeginButton } from './begin-button';
import { Words } from './say';
import { StopNow, StopWords } from './stop-advice';

const CLINIC: PackClinic = {
  name: 'Harbour Clinic',
  phone: '+000 555 01',
  emergencyText: 'Ring the bell.',
  emergencyNumber: '000',
  readsReports: 'Pia, at 8 and at 13',
};
const pack = (clinic: PackClinic) => ({
  clinic,
  cover: '',
  stopSigns: ['anything severe'],
  normalSigns: 'Mild soreness is normal.',
  caution: 'A caution.',
});
const shown = (element: React.ReactNode) =>
  renderToStaticMarkup(
    <Words words={patientWords(ENGLISH)} language={ENGLISH.tag}>
      {element}
    </Words>,
  );
const now = (clinic: PackClinic = CLINIC) =>
  shown(
    <StopNow
      pack={pack(clinic)}
      advice="stop and call"
      onWord={() => undefined}
      onLeave={() => undefined}
    />,
  );

describe('what a phone says when everything stops', () => {
  it('names the emergency first, then the clinic, then what happens, then a word that may be left', () => {
    const html = now();
    const places = [
      'In an emergency:',
      'Chest pain.',
      'href="tel:000"',
      'Ring the bell.',
      'href="tel:+00055501"',
      'Who reads what you tell: Pia, at 8 and at 13',
      'What happens next',
      'Say how it was',
      'Leave it',
    ].map((words) => html.indexOf(words));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('says nothing of what is normal', () => {
    expect(now()).not.toMatch(/normal/i);
    expect(shown(<StopWords pack={pack(CLINIC)} />)).toContain('Mild soreness is normal.');
  });

  it('has no dead button where the clinic set no emergency number: its words stand', () => {
    const { name, phone, emergencyText } = CLINIC;
    const html = now({ name, phone, emergencyText });
    expect(html.match(/href="tel:/g)).toHaveLength(1);
    expect(html).toContain('Ring the bell.');
  });

  it('gives the keyboard a place to begin at', () => {
    expect(now()).toContain('<h1 tabindex="-1"');
  });
});

describe('a button that waits for an answer', () => {
  const button = (missing: string) => shown(<BeginButton missing={missing}>Next</BeginButton>);
  it('looks so, says which one, and can be reached', () => {
    const html = button('First say how strong it is.');
    expect(html).toContain('aria-disabled="true"');
    expect(html).not.toContain(' disabled=""');
    const [, about] = /aria-describedby="([^"]+)"/.exec(html) ?? [];
    expect(html).toContain(`id="${about}" role="status"`);
    expect(html).toContain('First say how strong it is.');
    expect(html).toContain('border-dashed');
  });
  it('is plain once everything is there', () => {
    expect(button('')).not.toMatch(/aria-|border-dashed/);
  });
});
