/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { expect, test } from '@jest/globals';
import { useStandLook } from './stand-look.ts';

test.each([
  ['as it was kept before forms were counted', { turn: 'lines', form: 'played' }, { turn: 'lines', form: 'played', theme: 'night' }],
  [
    'a way to turn there is none of leaves it as new',
    { turn: 'sideways', form: 'played' },
    { turn: 'pages', form: 'written', theme: 'night' },
  ],
])('how charts lie on the stand: %s', async (_, state, wanted) => {
  useStandLook.setState({ turn: 'pages', form: 'written', theme: 'night' });
  localStorage.setItem('aurora-stand', JSON.stringify({ state, version: 0 }));
  await useStandLook.persist.rehydrate();
  expect(useStandLook.getState()).toEqual(wanted);
});
