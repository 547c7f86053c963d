import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { drawnEndings } from './drawn-endings.ts';

/** A line as it is drawn, worked out by hand: `|:` `:|` and brackets `1.⌜ ⌝`, the last one without its end. */
function drawn(music: string): string {
  const { bars } = readChart(`key: C\n${music}\n`);
  const forms = drawnEndings(bars);
  return bars
    .map(({ form }, index) => {
      const closes = forms.get(index)?.closesRepeat ?? (forms.has(index) ? null : form.closesRepeat);
      const ends = forms.get(index)?.endsEnding ?? form.ending?.ends ?? false;
      const begin = form.ending?.begins ? `${form.ending.passes.join(',')}.⌜` : '';
      return `${form.opensRepeat ? '|:' : ''}${begin}b${index + 1}${ends ? '⌝' : ''}${closes === null ? '' : `:|${closes === 2 ? '' : closes}`}`;
    })
    .join(' ');
}

describe('repeats with endings, as musicians read them', () => {
  test.each([
    ['two endings', '|: 1 4 1.[ 5 ] 2.[ 1 ] :|', '|:b1 b2 1.⌜b3⌝:| 2.⌜b4'],
    ['endings of two bars', '|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|', '|:b1 b2 1.⌜b3 b4⌝:| 2.⌜b5 b6'],
    ['three endings', '|: 1 1.[ 5 ] 2.[ 4 ] 3.[ 1 ] :| x3', '|:b1 1.⌜b2⌝:| 2.⌜b3⌝:| 3.⌜b4'],
    ['two passes on one ending', '|: 1 1,2.[ 5 ] 3.[ 1 ] :| x3', '|:b1 1,2.⌜b2⌝:| 3.⌜b3'],
    ['the sign written behind the first ending', '|: 1 4 1.[ 5 ] :| 2.[ 1 ]', '|:b1 b2 1.⌜b3⌝:| 2.⌜b4'],
    ['no endings', '|: 1 4 :|', '|:b1 b2:|'],
    ['three times', '|: 1 4 :| x3', '|:b1 b2:|3'],
    ['a last ending that is gone back from', '|: 1 1.[ 5 ] 2,3.[ 4 ] :| x3', '|:b1 1.⌜b2⌝:| 2,3.⌜b3⌝:|3'],
    ['a jump behind the last ending', '|: 1 1.[ 5 ] 2.[ 4 ] :| {dc}', '|:b1 1.⌜b2⌝:| 2.⌜b3'],
    ['over a line break', '|: 1 4 5 1 1.[ 5\n5 ] 2.[ 1\n1 ] :|', '|:b1 b2 b3 b4 1.⌜b5 b6⌝:| 2.⌜b7 b8'],
    ['with a pickup', '{pickup: 1} 5 |: 1 1.[ 5 ] 2.[ 1 ] :|', 'b1 |:b2 1.⌜b3⌝:| 2.⌜b4'],
    ['two repeats, each with its own', '|: 1 1.[ 5 ] 2.[ 1 ] :| |: 4 1.[ 5 ] 2.[ 1 ] :|', '|:b1 1.⌜b2⌝:| 2.⌜b3 |:b4 1.⌜b5⌝:| 2.⌜b6'],
    ['and the song goes on behind them', '|: 1 1.[ 5 ] 2.[ 1 ] :| 4 5', '|:b1 1.⌜b2⌝:| 2.⌜b3 b4 b5'],
  ])('%s', (_, music, wanted) => expect(drawn(music)).toBe(wanted));
});
