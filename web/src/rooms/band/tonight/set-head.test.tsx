/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { sampleDesk, sampleTonight } from '../../../dev/sample-band.ts';
import { SetHead } from './SetHead.tsx';

afterEach(cleanup);

const nameField = () => screen.queryByLabelText('Name');

/** A set without a name of its own yet and without entries, begun here or by somebody else. */
function drawNewSet(isNew: boolean): void {
  const desk = sampleDesk();
  desk.change((body) => ({ ...body, name: 'New set', entries: [] }));
  renderInBand(<SetHead tonight={sampleTonight(desk)} isNew={isNew} onNew={() => undefined} />);
}

describe('what is written once for a set', () => {
  test('a set begun on this device asks for its name at once', () => {
    drawNewSet(true);
    expect((nameField() as HTMLInputElement).value).toBe('New set');
  });

  test('one that somebody else has just begun is left alone until its name is asked for', async () => {
    drawNewSet(false);
    expect(nameField()).toBeNull();
    await userEvent.setup().click(screen.getByRole('button', { name: 'Edit name, place and time' }));
    expect((nameField() as HTMLInputElement).value).toBe('New set');
  });
});
