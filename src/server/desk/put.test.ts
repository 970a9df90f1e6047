import { PutQuery, putAsked } from './put';

const asked = (query: object) => putAsked(PutQuery.parse(query));

describe('what an address puts down on a desk', () => {
  it('is the one thing it names', () => {
    expect(asked({ exercise: 'tuck-lying' })).toEqual({ what: 'exercise', id: 'tuck-lying' });
    expect(asked({ ready: 'ten-by-ten' })).toEqual({ what: 'ready', id: 'ten-by-ten' });
    expect(asked({ template: 'own', other: 'x' })).toEqual({ what: 'template', id: 'own' });
    expect(asked({ ready: 'a', exercise: 'b' })).toEqual({ what: 'exercise', id: 'b' });
  });

  it('is nothing where it names nothing, or nothing that can be a name', () => {
    expect(asked({})).toBeNull();
    expect(asked({ ready: '' })).toBeNull();
    expect(asked({ ready: 'x'.repeat(81) })).toBeNull();
    expect(asked({ ready: ['a', 'b'] })).toBeNull();
    expect(asked({ ready: 'x'.repeat(80) })).toMatchObject({ what: 'ready' });
  });
});
