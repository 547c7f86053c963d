import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { failure, type Result, success } from '../../fault.ts';

/** An element with what stands in it, in order. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlElement[];
  readonly text: string;
}

const MOST_LETTERS = 12_000_000;
const ATTRIBUTES = ':@';
const TEXT = '#text';

/**
 * Reads XML as plain elements. Nothing outside the text is ever fetched, and a text that declares
 * entities of its own is refused, so that a small file cannot grow into a huge one.
 */
export function parseXml(text: string): Result<XmlElement> {
  const broken = (detail: string, start = 0) => failure({ code: 'format-broken', format: 'MusicXML', detail }, start, 0);
  if (text.length > MOST_LETTERS) return failure({ code: 'format-large', format: 'MusicXML' }, 0, 0);
  if (/<!ENTITY/i.test(text)) return failure({ code: 'format-entities' }, 0, 0);
  const plain = text.replace(/^\ufeff/, '').replace(/<!DOCTYPE[^[>]*(\[[^\]]*\])?[^>]*>/i, '');
  const checked = XMLValidator.validate(plain);
  if (checked !== true) {
    const { line, col } = checked.err;
    return broken(`its XML is damaged in line ${line}`, offsetOf(plain, line, col) + text.length - plain.length);
  }
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      parseTagValue: false,
      parseAttributeValue: false,
      processEntities: false,
      trimValues: true,
    });
    const root = elementsOf(parser.parse(plain)).find(({ name }) => !name.startsWith('?'));
    return root === undefined ? broken('there is nothing in it') : success(root);
  } catch {
    return broken('its XML is damaged');
  }
}

/** How far into a text a place lies; lines and columns count from 1. */
function offsetOf(text: string, line: number, column: number): number {
  const before = text.split('\n').slice(0, line - 1);
  return before.reduce((sum, { length }) => sum + length + 1, 0) + Math.max(0, column - 1);
}

type Node = Readonly<Record<string, unknown>>;

function elementsOf(nodes: unknown): readonly XmlElement[] {
  if (!Array.isArray(nodes)) return [];
  return (nodes as readonly Node[]).flatMap((node) => {
    const name = Object.keys(node).find((key) => key !== ATTRIBUTES);
    if (name === undefined || name === TEXT) return [];
    const inside = node[name];
    const attributes = Object.entries((node[ATTRIBUTES] ?? {}) as Record<string, unknown>).map(([key, value]) => [
      key,
      decoded(String(value)),
    ]);
    return [{ name, attributes: Object.fromEntries(attributes), children: elementsOf(inside), text: textOf(inside) }];
  });
}

function textOf(nodes: unknown): string {
  if (!Array.isArray(nodes)) return '';
  return (nodes as readonly Node[]).map((node) => (TEXT in node ? decoded(String(node[TEXT])) : '')).join('');
}

const ENTITIES: Readonly<Record<string, string>> = { lt: '<', gt: '>', amp: '&', quot: '"', apos: "'" };

/** The five entities every XML has, and characters by number. */
function decoded(text: string): string {
  return text.replace(/&(?:#(\d{1,7})|#x([0-9a-f]{1,6})|(lt|gt|amp|quot|apos));/gi, (whole, decimal, hex, name) => {
    if (name !== undefined) return ENTITIES[String(name).toLowerCase()] ?? whole;
    const code = decimal === undefined ? Number.parseInt(hex, 16) : Number(decimal);
    return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : '';
  });
}

/** The first child of that name. */
export function child(element: XmlElement | undefined, name: string): XmlElement | undefined {
  return element?.children.find((one) => one.name === name);
}

/** All children of that name. */
export function childrenOf(element: XmlElement | undefined, name: string): readonly XmlElement[] {
  return element?.children.filter((one) => one.name === name) ?? [];
}

/** The text of the first child of that name; empty without one. */
export function textIn(element: XmlElement | undefined, name: string): string {
  return child(element, name)?.text ?? '';
}

/** The number in the first child of that name; the other one where there is none. */
export function numberIn(element: XmlElement | undefined, name: string, otherwise: number): number {
  const value = Number(textIn(element, name));
  return textIn(element, name) === '' || !Number.isFinite(value) ? otherwise : value;
}
