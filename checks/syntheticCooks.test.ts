import { calibrationRow, readingsRow } from './syntheticCooks';

jest.setTimeout(400_000);

it('has windows that hold eight in ten true times of cooks of another kind', () => {
  const row = calibrationRow();
  expect([row.got, row.pass]).toEqual([row.got, true]);
});

it('learns from readings: a tenth of the cooks that `ostrin facts --twins` runs', () => {
  const row = readingsRow(10);
  expect([row.got, row.pass]).toEqual([row.got, true]);
});
