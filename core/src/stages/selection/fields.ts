import { choice, words, line, rows, quantity, never, perOption } from '../../kernel/field.ts';

export const lead = 'Suitable motors, drives and starters, ranked, with the reasons for rejection.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = perOption({
  prefer: choice(
    [
      ['life cost', 'Life-cycle cost'],
      ['first cost', 'Installed cost'],
      ['availability', 'Delivery time'],
    ],
    { label: 'Ranking criterion', usual: 'life cost' },
  ),
  motor: words(40, {
    label: 'Selected motor',
    asked: never,
    note: 'Catalogue id of a motor chosen over the first-ranked one',
  }),
  drive: words(40, { label: 'Selected drive', asked: never }),
  starter: words(40, { label: 'Selected starter', asked: never }),
  motorFrom: choice(
    [
      ['auto', 'As the task implies'],
      ['kept', 'Existing motor kept'],
      ['new', 'New motor'],
    ],
    { label: 'Motor source', usual: 'auto', note: 'Whether the motor on the plate is kept in this option' },
  ),
  feedFrom: choice(
    [
      ['new', 'New'],
      ['kept', 'Existing one kept'],
    ],
    {
      label: 'Starter or drive source',
      usual: 'new',
      note: 'Whether the starter or drive that is there is kept in this option',
    },
  ),
  accessories: rows(
    20,
    {
      part: line(80, { label: 'Item', usual: '' }),
      price: quantity('money', { label: 'Price', min: 0, max: 1e9, example: '480' }),
    },
    { label: 'Accessories and work', note: 'What this option needs besides: filter, choke, cabinet, installation' },
  ),
});
