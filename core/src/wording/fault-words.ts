import type { Fault } from '../fault.ts';

/** A sentence for every kind of fault, from what the fault knows. */
const WORDS: { readonly [Code in Fault['code']]: (fault: Extract<Fault, { code: Code }>) => string } = {
  empty: (fault) => `Nothing here yet: write a ${fault.wanted}, such as ${EXAMPLES[fault.wanted]}.`,
  'note-letter': (fault) => noteLetterWords(fault.text),
  'note-rest': (fault) => `“${show(fault.text)}” goes on after the note: “${show(fault.rest)}” is not part of a note name.`,
  'note-accidentals': (fault) =>
    `“${show(fault.text)}” has more than two sharps or flats. The same sound is written ${glyphs(fault.easier)}.`,
  'pitch-octave': (fault) => `Which octave? Write ${show(`${fault.text}3`)}; middle C is C4.`,
  'range-notes': (fault) => `A range is its lowest and its highest note with their octaves, such as B3 D5, not ${show(fault.text)}.`,
  'range-upside-down': (fault) => `The lowest note comes first: ${fault.low} lies above ${fault.high}. Write ${fault.high} ${fault.low}?`,
  'voice-outside': (fault) =>
    `${fault.note} feels comfortable, so it is possible too: what is possible goes from ${fault.low} to ${fault.high} here. Widen it, or narrow what is comfortable.`,
  'format-broken': (fault) => `This ${fault.format} file cannot be read: ${fault.detail}.`,
  'format-other': (fault) => `This is no ${fault.format} file: it begins with ${show(fault.found)}.`,
  'format-empty': (fault) => `There is no music in this ${fault.format} file.`,
  'format-large': (fault) => `This ${fault.format} file holds more than a song can be: it is not read.`,
  'format-entities': () =>
    'This file declares names of its own (entities) for other text. Such files are not read; save it again without them.',
  'format-timewise': () => 'This MusicXML file is laid out by time (score-timewise). Save it again as score-partwise.',
  'format-newer': (fault) =>
    `This backup is of version ${fault.version}; this program reads up to version ${fault.known}. Nothing was changed.`,
  'format-missing': (fault) => `Something is missing or wrong in this ${fault.format}: ${fault.part}. Nothing was changed.`,
  'scale-unknown': (fault) =>
    `“${show(fault.text)}” is no scale here.${fault.nearest === null ? ' Try major, minor, harmonic minor or dorian.' : ` Did you mean ${glyphs(fault.nearest)}?`}`,
  'key-unspellable': (fault) =>
    `${glyphs(fault.key)} would need triple sharps or flats. Write ${glyphs(fault.easier)}: it sounds the same.`,
  'chord-lowercase': (fault) =>
    `“${show(fault.text)}”: capitals for letters, so that b is always a flat. Write ${capital(show(fault.text))}.`,
  'chord-german': () => 'There is no H here: write B for the note below C, and Bb for the one below that.',
  'quality-unknown': (fault) => qualityUnknownWords(fault.text, fault.rest),
  'quality-bare-alteration': (fault) => `An alteration right after the root goes in parentheses: write ${show(fault.write)}.`,
  'quality-contradiction': (fault) => `“${show(fault.tones)}” contradicts the rest of “${show(fault.text)}”.`,
  'bass-unknown': (fault) =>
    `“${show(fault.bass)}” after the slash is no bass: write a note such as D/F#, or a degree of the key such as 5/7.`,
  'degree-range': (fault) => degreeRangeWords(fault.digit),
  'degree-accidentals': (fault) => `“${show(fault.text)}” has more than two sharps or flats before the number.`,
  'number-run-together': (fault) => `“${show(fault.text)}” is no chord. Several bars? Write ${show(fault.write)}.`,
  'number-six-nine': (fault) => `“${show(fault.text)}” has no bass 9. For the six-nine chord on 1 write ${fault.write}.`,
  'number-on-seven': (fault) => `“${show(fault.text)}” starts with degree 7. Did you mean ${show(fault.write)}?`,
  'token-unreadable': (fault) => `“${show(fault.text)}” is no chord: write a number such as 4 or 6-, or letters such as Em7.`,
  'head-value': (fault) => `“${show(fault.value)}” cannot be read as ${fault.name}: write ${fault.wanted}.`,
  'head-twice': (fault) => `There is a second ${fault.name} line; the first one counts.`,
  'key-missing': () => 'There are letters but no key line, so they are read in C. Add a line such as key: G.',
  'numbering-in-major': (fault) =>
    `${glyphs(fault.key)} is not minor, so there is no relative major to count from; numbers count from its tonic.`,
  unclosed: (fault) => `The closing ${fault.closing} is missing; it is taken to be at the end of the line.`,
  'section-rest': (fault) => `The bars after [${show(fault.name)}] belong on the next line.`,
  'section-nameless': () => 'This section has no name: write one between the brackets, such as [Verse].',
  'count-range': (fault) => `“${show(fault.text)}”: a section is played 1 to ${fault.most} times.`,
  'beats-outside-bar': (fault) =>
    `Beat marks belong inside a shared bar: write (${show(fault.text)} …), or leave them off for a whole bar.`,
  'beats-missing': () => 'Some chords in this bar have their beats marked and some do not. Mark all of them, or none.',
  'beats-sum': (fault) => `The marked beats add up to ${fault.sum}; this bar has ${fault.wanted}.`,
  'beats-uneven': (fault) => `${fault.chords} chords do not share ${fault.beats} beats evenly. Mark the beats, such as (1.. 4. 5.).`,
  'bar-empty': () => 'This bar is empty. Write NC for no chord, or % to repeat the bar before.',
  'ring-and-stop': (fault) => `“${show(fault.text)}” says let ring and stop at once. Keep one of them.`,
  'mark-order': (fault) =>
    `The marks of “${show(fault.text)}” are out of order: > comes first, then <…> around the chord, then ! or ?, then the beats.`,
  'repeat-in-bar': (fault) => `“${show(fault.text)}” cannot stand inside a shared bar; only chords and NC can.`,
  'repeat-nothing': (fault) =>
    fault.bars === 1 ? 'There is no bar before this one to repeat.' : 'There are not two bars before this one to repeat.',
  'pickup-range': (fault) => `A pickup of ${show(fault.text)} is longer than the bar of ${fault.beats}.`,
  'pickup-without-bar': () => 'No bar follows this pickup.',
  'change-unknown': (fault) => `${show(fault.text)} is not known here: write {key: A}, {key: +2}, {3/4} or {tempo: 120}.`,
  'cue-wordless': (fault) => `${show(fault.text)} has no words: write who and what, such as @bass "walk up".`,
  'count-stray': (fault) =>
    `“${show(fault.text)}” counts nothing here: a count stands behind a repeat, :| ${show(fault.text)}, or behind a section’s name.`,
  'repeat-unopened': () => 'No |: opens this repeat, so it goes back to the start of its section.',
  'repeat-unclosed': () => 'This repeat is not closed in its section: write :| where it ends.',
  'ending-outside': (fault) => `Ending ${fault.passes} stands outside a repeat. Endings go inside: |: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|`,
  'ending-unclosed': (fault) => `Ending ${fault.passes} is not closed: write ] behind its last bar, before the next ending or :|.`,
  'ending-unopened': () => 'This ] closes no ending.',
  'ending-passes': (fault) =>
    fault.endings === 0
      ? `Pass ${fault.pass} of this repeat has no ending of its own.`
      : `Pass ${fault.pass} of this repeat has ${fault.endings} endings; the first one is played.`,
  'ending-count': (fault) => `The endings make ${fault.passes} passes, the count says ${fault.times}; the endings win.`,
  'jump-target': (fault) => `There is no {${fault.missing}} for ${show(fault.jump)}, so it is passed over.`,
  'sign-twice': (fault) => `There is a second {${fault.sign}}; the first one counts.`,
  'form-section-missing': (fault) =>
    `No section is called “${show(fault.name)}”.${fault.nearest === null ? '' : ` Did you mean ${show(fault.nearest)}?`}`,
  'form-section-twice': (fault) =>
    `Two sections are called “${show(fault.name)}”; the form plays the first. Give the other a name of its own.`,
  'form-and-jumps': () => 'The form line and the jumps in the chart both say the order; the form line wins.',
  'performance-long': (fault) =>
    `With its repeats written out this is ${fault.bars} bars or more; the first ${fault.most} are written out.`,
  'two-bars-perhaps': (fault) => `${fault.text} is one chord. Two bars? Write ${fault.write}.`,
  'tuning-strings': (fault) =>
    `That is ${fault.strings === 1 ? 'one string' : `${fault.strings} strings`}: an instrument here has ${fault.fewest} to ${fault.most}.`,
  'tuning-pitch': (fault) => `String ${fault.string} is tuned to a pitch no string is wound for. Use C1 to E6, such as E2.`,
  'frets-range': (fault) => `A neck here has ${fault.fewest} to ${fault.most} frets, not ${show(String(fault.frets))}.`,
  'capo-range': (fault) => `A capo sits at fret 0 (none) to ${fault.most}, not ${show(String(fault.capo))}.`,
  'comfort-range': (fault) =>
    `The highest comfortable fret lies between ${fault.fewest}, just past the capo, and the last fret, ${fault.most}.`,
  'scale-length': (fault) =>
    `The open string measures ${fault.fewest} to ${fault.most} mm from nut to bridge, not ${show(String(fault.millimetres))}.`,
};

/** The fault as a sentence for a musician: what was found, and what to write instead. */
export function faultWords(fault: Fault): string {
  const words = WORDS[fault.code] as (fault: Fault) => string;
  return words(fault);
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
