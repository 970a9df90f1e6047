import { renderToStaticMarkup } from 'react-dom/server';
import { ENGLISH, patientWords } from '@/catalogue';
import { REGIONS } from '@/core/symptoms';
import { LimbMap, bodyWords } from './limb-map';
import { Words, type Say } from './say';

describe('the drawn body of the patient', () => {
  it('names every part of both sides from the table of texts', () => {
    const asked: string[] = [];
    const say: Say = (key, values) => {
      asked.push(key);
      return key === 'body.region' ? Object.values(values ?? {}).join('|') : key;
    };
    const words = bodyWords(say);
    for (const region of REGIONS) {
      const [view, side] = region.split(' ');
      expect(words.region(region)).toMatch(new RegExp(`^${view}\\|${side}\\|part\\.`));
    }
    const known = Object.keys(patientWords(ENGLISH));
    expect(asked.filter((key) => !known.includes(key))).toEqual([]);
  });

  it('says in words what is marked, and that nothing is', () => {
    const html = (marked: Parameters<typeof LimbMap>[0]['marked']) =>
      renderToStaticMarkup(
        <Words words={patientWords(ENGLISH)} language={ENGLISH.tag}>
          <LimbMap legend="Where" marked={marked} onChange={() => undefined} />
        </Words>,
      );
    expect(html(['front left elbow', 'back right upper arm'])).toContain(
      'front left elbow, back right upper arm</p>',
    );
    expect(html([])).toContain('aria-label="front left forearm"');
    expect(html([])).toContain('aria-label="Body, front"');
  });
});
