import type { ComponentProps } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { SendPanel } from './send-panel';

const nothing = () => undefined;
const shown = (change: Partial<ComponentProps<typeof SendPanel>>) =>
  renderToStaticMarkup(
    <SendPanel
      desk={{ lines: [{}] } as never}
      step={nothing}
      newest={0}
      draft="nothing to keep"
      refusal={null}
      busy={false}
      stops={[]}
      incomplete={0}
      unreadable={0}
      canUndo
      canRedo={false}
      onSave={nothing}
      {...change}
    />,
  );

it('keeps every button where it is when what may be sent all the same is told a moment later', () => {
  const upToRedo = (html: string) => html.slice(0, html.lastIndexOf('</button>'));
  const later = shown({ incomplete: 2, draft: 'kept' });
  expect(later).toContain('2 lines go out incomplete');
  expect(later).toContain('This desk is kept');
  expect(upToRedo(later)).toBe(upToRedo(shown({})));
});

it('says above the button what keeps it from being sent, and does not send it', () => {
  const html = shown({ unreadable: 1 });
  const [above = ''] = html.split('<button');
  expect(above).toContain('One line cannot be read yet.');
  expect(html.slice(0, html.indexOf('Save as version 1'))).toMatch(/<button[^>]*disabled/);
});
