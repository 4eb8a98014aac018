import { HOUR } from '../../ground/constants.ts';
import { quantity, choice, rows, perOption } from '../../ground/field.ts';

export const lead = 'Hours a year at each flow, and how flow is controlled today.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  control: choice(
    [
      ['unknown', 'Not known'],
      ['none', 'None: runs at full flow'],
      ['on/off', 'Switched on and off'],
      ['damper', 'Outlet damper'],
      ['inlet vane', 'Inlet vanes'],
      ['throttle', 'Throttle valve'],
      ['bypass', 'Bypass'],
    ],
    {
      label: 'Flow control today',
      usual: 'unknown',
      note: 'How flow is controlled today, or would be without a drive',
    },
  ),
  ...perOption({
    ownControl: choice(
      [
        ['auto', 'By speed with a drive, else as today'],
        ['none', 'None: runs at full flow'],
        ['on/off', 'Switched on and off'],
        ['damper', 'Outlet damper'],
        ['inlet vane', 'Inlet vanes'],
        ['throttle', 'Throttle valve'],
        ['bypass', 'Bypass'],
      ],
      {
        label: 'Flow control of this option',
        usual: 'auto',
        note: 'How flow is controlled in this option',
      },
    ),
  }),
  staticHeadShare: quantity('fraction', { label: 'Static share of the head', min: 0, max: 0.98, example: '30 %' }),
  points: rows(
    200,
    {
      flow: quantity('fraction', { label: 'Flow', min: 0, max: 1.2, example: '70 %' }),
      hours: quantity('time', { label: 'Hours a year', min: 0, max: 8784 * HOUR, example: '2000 h' }),
    },
    { label: 'Speed profile' },
  ),
};
