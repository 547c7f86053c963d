// @ts-check
// Small faults put into a module on purpose, one at a time: a test that guards the place must fail.
import { lineOf, syntaxOf } from './syntax.mjs';

/**
 * @typedef {object} Mutant
 * @property {string} path
 * @property {number} line from 1
 * @property {string} was
 * @property {string} becomes
 * @property {string} text the whole module with the fault in it
 */

/** What stands in place of an operator. */
const OTHER_OPERATOR = /** @type {Readonly<Record<string, string>>} */ ({
  '===': '!==',
  '!==': '===',
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '&&': '||',
  '||': '&&',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '%': '*',
});

/** Kinds of syntax that say nothing at run time, or only what something is called. */
const SILENT = /^(Ts|ImportDeclaration|ExportAllDeclaration|ExportNamedDeclaration|JSXAttribute$|JSXText)/;

/**
 * Every fault that is put into a module, in the order of its text.
 * @param {string} path
 * @param {string} text
 * @returns {readonly Mutant[]}
 */
export function mutantsOf(path, text) {
  const { module, byteOf } = syntaxOf(text, path);
  const bytes = Buffer.from(text);
  const between = (/** @type {number} */ from, /** @type {number} */ to) => bytes.subarray(byteOf(from), byteOf(to)).toString('utf8');
  /** @type {(Mutant & { byte: number })[]} */
  const found = [];
  /** @param {number} from @param {number} to @param {string} becomes */
  const replace = (from, to, becomes) => {
    const byte = byteOf(from);
    const changed = Buffer.concat([bytes.subarray(0, byte), Buffer.from(becomes), bytes.subarray(byteOf(to))]).toString('utf8');
    found.push({ path, line: lineOf(text, byte), was: between(from, to), becomes, text: changed, byte });
  };
  /** @param {any} node */
  const look = (node) => {
    if (typeof node !== 'object' || node === null) return;
    if (Array.isArray(node)) return node.forEach(look);
    if (SILENT.test(node.type ?? '')) return runPartsOf(node).forEach(look);
    mutate(node, replace, between);
    for (const child of Object.values(node)) look(child);
  };
  look(module.body);
  return found.sort((a, b) => a.byte - b.byte).map(({ byte: _, ...mutant }) => mutant);
}

/** What is run all the same: what is cast or asserted, and what an attribute is given. @param {any} node */
function runPartsOf(node) {
  return [node.type.startsWith('Ts') ? node.expression : undefined, node.value?.expression];
}

/**
 * @param {any} node
 * @param {(from: number, to: number, becomes: string) => void} replace
 * @param {(from: number, to: number) => string} between
 */
function mutate(node, replace, between) {
  const { start, end } = node.span ?? {};
  switch (node.type) {
    case 'BinaryExpression':
      mutateOperator(node, replace, between);
      break;
    case 'NumericLiteral':
      replace(start, end, String(node.value + 1));
      break;
    case 'BooleanLiteral':
      replace(start, end, String(!node.value));
      break;
    case 'UnaryExpression':
      if (node.operator === '!') replace(start, end, between(node.argument.span.start, node.argument.span.end));
      break;
    case 'IfStatement':
    case 'ConditionalExpression':
      for (const value of ['true', 'false']) replace(node.test.span.start, node.test.span.end, value);
      break;
    case 'ExpressionStatement':
      // a word of its own such as 'use strict' is nothing that is done
      if (node.expression.type !== 'StringLiteral') replace(start, end, ';');
      break;
  }
}

/**
 * @param {any} node
 * @param {(from: number, to: number, becomes: string) => void} replace
 * @param {(from: number, to: number) => string} between
 */
function mutateOperator(node, replace, between) {
  const { left, right, operator } = node;
  if (operator === '??') return replace(node.span.start, node.span.end, between(left.span.start, left.span.end));
  const other = OTHER_OPERATOR[operator];
  if (other === undefined) return;
  const middle = between(left.span.end, right.span.start);
  replace(
    left.span.end,
    right.span.start,
    middle.replace(operator, () => other),
  );
}
