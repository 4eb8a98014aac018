import { choice, words, line, rows, quantity, named, never, perOption } from '../../ground/field.ts';

export const lead = 'What fits, ranked; and why the rest do not.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = perOption({
  prefer: choice(named('life cost', 'first cost', 'availability'), { label: 'Rank by', usual: 'life cost' }),
  motor: words(40, { label: 'motor', asked: never, note: 'Catalogue id of a motor chosen over the first-ranked one' }),
  drive: words(40, { label: 'drive', asked: never }),
  starter: words(40, { label: 'starter', asked: never }),
  motorFrom: choice(
    [
      ['auto', 'As the situation says'],
      ['kept', 'The one on the plate is kept'],
      ['new', 'A new one'],
    ],
    { label: 'Motor', usual: 'auto', note: 'Whether the motor on the plate is kept in this option' },
  ),
  feedFrom: choice(
    [
      ['new', 'New'],
      ['kept', 'The present one is kept'],
    ],
    {
      label: 'Starter or drive',
      usual: 'new',
      note: 'Whether the starter or drive that is there is kept in this option',
    },
  ),
  accessories: rows(
    20,
    {
      part: line(80, { label: 'Part', usual: '' }),
      price: quantity('money', { label: 'Price', min: 0, max: 1e9, example: '480' }),
    },
    { label: 'Accessories and work', note: 'What this option needs besides: filter, choke, cabinet, installation' },
  ),
});
