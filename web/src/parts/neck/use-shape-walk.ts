import { type Chord, type Fingering, holdsOf, type Instrument, type Voicing } from '@aurora/core';
import type { KeyboardEvent } from 'react';
import { play } from '../../transport/player.ts';
import { useShapes } from './neck-engine.ts';
import { chooseShape, groupsIn, inversionsIn, nextChoice, placeName, type ShapeGroup, shapesLeft, useNeck } from './neck-store.ts';

/** The shapes of the selected chord and the walk through them. */
export interface ShapeWalk {
  /** Every shape there is; empty until they are found. */
  readonly all: readonly Voicing[];
  /** Those left by family and inversion, best first. */
  readonly left: readonly Voicing[];
  readonly families: readonly (readonly [ShapeGroup, number])[];
  readonly inversions: readonly number[];
  /** Place of the shape among those left. */
  readonly at: number;
  readonly shape: Voicing | null;
  readonly fingering: Fingering | null;
  readonly partial: boolean;
  /** Tones that never fit on these strings. */
  readonly leftOut: readonly string[];
  readonly busy: boolean;
  readonly go: (step: 1 | -1) => void;
  readonly choose: (voicing: Voicing, hold?: number) => void;
  /** Keys of the neck: arrows walk, f changes the family, i the inversion, Enter plays. */
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

const SHAPE_BEATS = 3;
const SHAPE_TEMPO = 80;

/** Lets a shape be heard from its lowest string up. */
export function hearShape({ tones, frets }: Voicing): void {
  void play(`shape-${frets.join()}`, [{ midi: tones.map(({ midi }) => midi), beats: SHAPE_BEATS }], SHAPE_TEMPO);
}

/** What the dock and the room share: which shape of the selected chord is looked at. */
export function useShapeWalk(chord: Chord | null, instrument: Instrument): ShapeWalk {
  const { show, family, inversion, without, chosen } = useNeck();
  const found = useShapes(chord, instrument, { maxFret: instrument.comfortFret, without });
  const all = chord === null ? [] : (found.data?.voicings ?? []);
  const left = shapesLeft(all, { family, inversion }, instrument.capo);
  const of = chord === null ? '' : placeName(chord, instrument);
  const mine = chosen?.of === of ? chosen : null;
  const at = Math.max(0, mine === null ? 0 : left.findIndex(({ frets }) => frets.join() === mine.frets.join()));
  const shape = left[at] ?? null;
  const ways = shape === null ? [] : holdsOf(shape, instrument);
  const families = groupsIn(all, instrument.capo);
  const inversions = inversionsIn(all);
  const choose = (voicing: Voicing, hold = 0) => {
    chooseShape(of, voicing.frets, hold);
    hearShape(voicing);
  };
  const go = (step: 1 | -1) => {
    const next = left[(at + step + left.length) % left.length];
    if (next !== undefined) choose(next);
  };
  const keys: Readonly<Record<string, () => void>> = {
    ...(show === 'shape' ? { ArrowRight: () => go(1), ArrowLeft: () => go(-1) } : {}),
    f: () =>
      useNeck.setState({
        show: 'shape',
        family: nextChoice(
          families.map(([name]) => name),
          family,
        ),
      }),
    i: () => useNeck.setState({ show: 'shape', inversion: nextChoice(inversions, inversion) }),
    s: () => useNeck.setState({ show: show === 'shape' ? 'tones' : 'shape' }),
  };
  return {
    all,
    left,
    families,
    inversions,
    at,
    shape,
    fingering: ways[mine?.hold ?? 0]?.fingering ?? shape?.fingering ?? null,
    partial: found.data?.partial ?? false,
    leftOut: found.data?.leftOut ?? [],
    busy: found.isFetching,
    go,
    choose,
    onKeyDown: (event) => {
      const action = keys[event.key];
      if (action === undefined || event.ctrlKey || event.metaKey || event.altKey || isChoosing(event.target)) return;
      event.preventDefault();
      // the same letters mean other things outside the neck
      event.stopPropagation();
      action();
    },
  };
}

/** Selects and fields keep their own keys, groups of choices their arrows. */
function isChoosing(target: EventTarget): boolean {
  return (
    target instanceof HTMLElement && target.closest('select,input,textarea,[role="radiogroup"],[role="group"][data-orientation]') !== null
  );
}
