import { type Drawing, diagram, type Fingering, type Instrument, type Naming, nameNote, scaled, type Voicing } from '@aurora/core';

const SHEET_SCALE = 0.72;

/** A shape's diagram as it stands over the tab of a study sheet: fingers in the dots. */
export function sheetDiagram(
  voicing: Voicing,
  fingering: Fingering,
  instrument: Instrument,
  look: { readonly title: string; readonly naming: Naming },
): Drawing {
  const drawing = diagram(voicing, fingering, instrument, {
    labels: 'fingers',
    leftHanded: instrument.leftHanded,
    title: look.title,
    nameNote: (note) => nameNote(note, look.naming.notes),
  });
  return scaled(drawing, SHEET_SCALE);
}
