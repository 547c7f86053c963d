import { assertNever, type Fault } from '../fault.ts';

/** The fault as a sentence for a musician: what was found, and what to write instead. */
export function faultWords(fault: Fault): string {
  switch (fault.code) {
    case 'empty':
      return `Nothing here yet: write a ${fault.wanted}, such as ${EXAMPLES[fault.wanted]}.`;
    case 'note-letter':
      return noteLetterWords(fault.text);
    case 'note-rest':
      return `“${show(fault.text)}” goes on after the note: “${show(fault.rest)}” is not part of a note name.`;
    case 'note-accidentals':
      return `“${show(fault.text)}” has more than two sharps or flats. The same sound is written ${glyphs(fault.easier)}.`;
    case 'pitch-octave':
      return `Which octave? Write ${show(`${fault.text}3`)}; middle C is C4.`;
    case 'range-notes':
      return `A range is its lowest and its highest note with their octaves, such as B3 D5, not ${show(fault.text)}.`;
    case 'range-upside-down':
      return `The lowest note comes first: ${fault.low} lies above ${fault.high}. Write ${fault.high} ${fault.low}?`;
    case 'voice-outside':
      return `${fault.note} feels comfortable, so it is possible too: what is possible goes from ${fault.low} to ${fault.high} here. Widen it, or narrow what is comfortable.`;
    case 'format-broken':
      return `This ${fault.format} file cannot be read: ${fault.detail}.`;
    case 'format-other':
      return `This is no ${fault.format} file: it begins with ${show(fault.found)}.`;
    case 'format-empty':
      return `There is no music in this ${fault.format} file.`;
    case 'format-large':
      return `This ${fault.format} file holds more than a song can be: it is not read.`;
    case 'format-entities':
      return 'This file declares names of its own (entities) for other text. Such files are not read; save it again without them.';
    case 'format-timewise':
      return 'This MusicXML file is laid out by time (score-timewise). Save it again as score-partwise.';
    case 'format-newer':
      return `This backup is of version ${fault.version}; this program reads up to version ${fault.known}. Nothing was changed.`;
    case 'format-missing':
      return `Something is missing or wrong in this ${fault.format}: ${fault.part}. Nothing was changed.`;
    case 'scale-unknown':
      return `“${show(fault.text)}” is no scale here.${fault.nearest === null ? ' Try major, minor, harmonic minor or dorian.' : ` Did you mean ${glyphs(fault.nearest)}?`}`;
    case 'key-unspellable':
      return `${glyphs(fault.key)} would need triple sharps or flats. Write ${glyphs(fault.easier)}: it sounds the same.`;
    case 'chord-lowercase':
      return `“${show(fault.text)}”: capitals for letters, so that b is always a flat. Write ${capital(show(fault.text))}.`;
    case 'chord-german':
      return 'There is no H here: write B for the note below C, and Bb for the one below that.';
    case 'quality-unknown':
      return qualityUnknownWords(fault.text, fault.rest);
    case 'quality-bare-alteration':
      return `An alteration right after the root goes in parentheses: write ${show(fault.write)}.`;
    case 'quality-contradiction':
      return `“${show(fault.tones)}” contradicts the rest of “${show(fault.text)}”.`;
    case 'bass-unknown':
      return `“${show(fault.bass)}” after the slash is no bass: write a note such as D/F#, or a degree of the key such as 5/7.`;
    case 'degree-range':
      return degreeRangeWords(fault.digit);
    case 'degree-accidentals':
      return `“${show(fault.text)}” has more than two sharps or flats before the number.`;
    case 'number-run-together':
      return `“${show(fault.text)}” is no chord. Several bars? Write ${show(fault.write)}.`;
    case 'number-six-nine':
      return `“${show(fault.text)}” has no bass 9. For the six-nine chord on 1 write ${fault.write}.`;
    case 'number-on-seven':
      return `“${show(fault.text)}” starts with degree 7. Did you mean ${show(fault.write)}?`;
    case 'token-unreadable':
      return `“${show(fault.text)}” is no chord: write a number such as 4 or 6-, or letters such as Em7.`;
    case 'head-value':
      return `“${show(fault.value)}” cannot be read as ${fault.name}: write ${fault.wanted}.`;
    case 'head-twice':
      return `There is a second ${fault.name} line; the first one counts.`;
    case 'key-missing':
      return 'There are letters but no key line, so they are read in C. Add a line such as key: G.';
    case 'numbering-in-major':
      return `${glyphs(fault.key)} is not minor, so there is no relative major to count from; numbers count from its tonic.`;
    case 'unclosed':
      return `The closing ${fault.closing} is missing; it is taken to be at the end of the line.`;
    case 'section-rest':
      return `The bars after [${show(fault.name)}] belong on the next line.`;
    case 'section-nameless':
      return 'This section has no name: write one between the brackets, such as [Verse].';
    case 'count-range':
      return `“${show(fault.text)}”: a section is played 1 to ${fault.most} times.`;
    case 'beats-outside-bar':
      return `Beat marks belong inside a shared bar: write (${show(fault.text)} …), or leave them off for a whole bar.`;
    case 'beats-missing':
      return 'Some chords in this bar have their beats marked and some do not. Mark all of them, or none.';
    case 'beats-sum':
      return `The marked beats add up to ${fault.sum}; this bar has ${fault.wanted}.`;
    case 'beats-uneven':
      return `${fault.chords} chords do not share ${fault.beats} beats evenly. Mark the beats, such as (1.. 4. 5.).`;
    case 'bar-empty':
      return 'This bar is empty. Write NC for no chord, or % to repeat the bar before.';
    case 'ring-and-stop':
      return `“${show(fault.text)}” says let ring and stop at once. Keep one of them.`;
    case 'mark-order':
      return `The marks of “${show(fault.text)}” are out of order: > comes first, then <…> around the chord, then ! or ?, then the beats.`;
    case 'repeat-in-bar':
      return `“${show(fault.text)}” cannot stand inside a shared bar; only chords and NC can.`;
    case 'repeat-nothing':
      return fault.bars === 1 ? 'There is no bar before this one to repeat.' : 'There are not two bars before this one to repeat.';
    case 'pickup-range':
      return `A pickup of ${show(fault.text)} is longer than the bar of ${fault.beats}.`;
    case 'pickup-without-bar':
      return 'No bar follows this pickup.';
    case 'change-unknown':
      return `${show(fault.text)} is not known here: write {key: A}, {key: +2}, {3/4} or {tempo: 120}.`;
    case 'cue-wordless':
      return `${show(fault.text)} has no words: write who and what, such as @bass "walk up".`;
    case 'count-stray':
      return `“${show(fault.text)}” counts nothing here: a count stands behind a repeat, :| ${show(fault.text)}, or behind a section’s name.`;
    case 'repeat-unopened':
      return 'No |: opens this repeat, so it goes back to the start of its section.';
    case 'repeat-unclosed':
      return 'This repeat is not closed in its section: write :| where it ends.';
    case 'ending-outside':
      return `Ending ${fault.passes} stands outside a repeat. Endings go inside: |: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|`;
    case 'ending-unclosed':
      return `Ending ${fault.passes} is not closed: write ] behind its last bar, before the next ending or :|.`;
    case 'ending-unopened':
      return 'This ] closes no ending.';
    case 'ending-passes':
      return fault.endings === 0
        ? `Pass ${fault.pass} of this repeat has no ending of its own.`
        : `Pass ${fault.pass} of this repeat has ${fault.endings} endings; the first one is played.`;
    case 'ending-count':
      return `The endings make ${fault.passes} passes, the count says ${fault.times}; the endings win.`;
    case 'jump-target':
      return `There is no {${fault.missing}} for ${show(fault.jump)}, so it is passed over.`;
    case 'sign-twice':
      return `There is a second {${fault.sign}}; the first one counts.`;
    case 'form-section-missing':
      return `No section is called “${show(fault.name)}”.${fault.nearest === null ? '' : ` Did you mean ${show(fault.nearest)}?`}`;
    case 'form-section-twice':
      return `Two sections are called “${show(fault.name)}”; the form plays the first. Give the other a name of its own.`;
    case 'form-and-jumps':
      return 'The form line and the jumps in the chart both say the order; the form line wins.';
    case 'performance-long':
      return `Played out this is ${fault.bars} bars or more; the first ${fault.most} are written out.`;
    case 'two-bars-perhaps':
      return `${fault.text} is one chord. Two bars? Write ${fault.write}.`;
    case 'tuning-strings':
      return `That is ${fault.strings === 1 ? 'one string' : `${fault.strings} strings`}: an instrument here has ${fault.fewest} to ${fault.most}.`;
    case 'tuning-pitch':
      return `String ${fault.string} is tuned to a pitch no string is wound for. Use C1 to E6, such as E2.`;
    case 'frets-range':
      return `A neck here has ${fault.fewest} to ${fault.most} frets, not ${show(String(fault.frets))}.`;
    case 'capo-range':
      return `A capo sits at fret 0 (none) to ${fault.most}, not ${show(String(fault.capo))}.`;
    case 'comfort-range':
      return `The highest comfortable fret lies between ${fault.fewest}, just past the capo, and the last fret, ${fault.most}.`;
    case 'scale-length':
      return `The open string measures ${fault.fewest} to ${fault.most} mm from nut to bridge, not ${show(String(fault.millimetres))}.`;
    default:
      return assertNever(fault);
  }
}

const EXAMPLES = { note: 'F#', key: 'Eb or F#m', chord: 'Em7', tuning: 'E A D G B E' } as const;

function noteLetterWords(text: string): string {
  if (/^[Hh]/.test(text)) return 'There is no H in English note names: write B for the note below C, and Bb for the one below that.';
  if (/^[a-g]/.test(text)) return `“${show(text)}”: capitals for letters. Write ${capital(show(text))}.`;
  return `“${show(text)}” is no note: use the letters A to G with # or b, such as F# or Bb.`;
}

function qualityUnknownWords(text: string, rest: string): string {
  if (text === '4') return '“4” after a root could be sus4 or add4: write the one you mean.';
  const what = rest === '' ? `“${show(text)}” ends too early` : `“${show(rest)}” is not something a chord can be`;
  return `${what}. Chords look like 7, maj7, m7, m7b5, dim7, sus4, add9 or 7(b9).`;
}

function degreeRangeWords(digit: string): string {
  if (digit === '8') return '8 is the 1 again: degrees run from 1 to 7.';
  return `There is no degree ${digit}: degrees run from 1 to 7.`;
}

/** Accidentals of note and scale names as music glyphs. */
function glyphs(text: string): string {
  return text
    .replace(/#/g, '♯')
    .replace(/(?<=[A-G]♭*)b/g, '♭')
    .replace(/b(?=\d)/g, '♭');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const MOST_SHOWN = 32;

/** The text as it is quoted in a sentence: never longer than a line. */
function show(text: string): string {
  const characters = [...text];
  return characters.length > MOST_SHOWN ? `${characters.slice(0, MOST_SHOWN).join('')}…` : text;
}
