import ts from 'typescript';
import { parse } from '@vue/compiler-sfc';

/** Words that somebody reads or hears, as they stand in a file of the interface. */
export interface Said {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

const [ELEMENT, TEXT, INTERPOLATION, ATTRIBUTE, DIRECTIVE] = [1, 2, 5, 6, 7];

interface Place {
  readonly start: { readonly offset: number };
  readonly end: { readonly offset: number };
}
export interface TemplateNode {
  readonly type: number;
  readonly tag?: string;
  readonly name?: string;
  readonly loc: Place;
  readonly content?: unknown;
  readonly arg?: { readonly content?: string };
  readonly exp?: { readonly content: string; readonly loc: Place };
  readonly value?: { readonly content: string; readonly loc: Place };
  readonly props?: readonly TemplateNode[];
  readonly children?: readonly TemplateNode[];
}

/** Attributes that carry codes, addresses or looks. */
const TECHNICAL =
  /^(?:class|id|key|ref|type|role|to|href|src|for|style|d|viewBox|points|transform|fill|stroke|name|autocomplete|inputmode|rel|target|accept|pattern|kind|size|placement|mode|tag|is|slot|tone|icon|status|width|height|colspan|scope|lang|trigger|layout|align|method|data-.*|aria-(?:live|controls|labelledby|describedby|current|haspopup|atomic|expanded|hidden|owns|activedescendant|keyshortcuts|roledescription))$/;
/** Keys of a keyboard, as browsers name them. */
const KEY_NAMES = new Set([
  'Enter',
  'Escape',
  'Tab',
  'Home',
  'End',
  'Delete',
  'Backspace',
  'Space',
  'Shift',
  'Control',
  'Alt',
  'Meta',
  'Insert',
]);
/** Formats of dates, looks, addresses and paths, which have letters and are no words. */
const FORMAT =
  /\b(?:yyyy|LLLL?|cccc?|HH|hh|EEEE?)\b|var\(|calc\(|repeat\(|translate|rotate\(|scale\(|matrix\(|\d(?:px|rem|em|deg|fr|vh|vw)\b|^[.#[(]|^(?:https?:|\/|mailto:|data:)|\bmin-width\b|^\w+=|<\w+|\[\w|serif\b/;
/** Texts that are names of something a program knows, though they read like words. */
const CODES = new Set([
  'knee flexion',
  'common practice',
  'by hand',
  'paired sensors',
  'not known',
  'dry first',
  'Posture',
  'Hip',
  'each round',
  'at end range',
  'Roboto',
  'Atkinson Hyperlegible Next Variable',
  '"Atkinson Hyperlegible Next Variable"',
]);
/** Properties and constants whose values are said, however short they are. */
const SAID_NAME =
  /^(?:label|title|says|text|detail|message|heading|hint|placeholder|help|ariaLabel|okText|cancelText|description|subTitle|.*_?WORDS|.*Words)$/;

/** Whether a text is one that somebody reads: sentences, and single words that begin as such; not codes, paths and formats. */
export function isSaid(text: string): boolean {
  const plain = text.trim();
  if (!/\p{L}{2}/u.test(plain) || FORMAT.test(plain)) return false;
  if (/\s/.test(plain)) return /(?:^|\s|[“(])\p{L}{2,}/u.test(plain) && !/^[a-z0-9]+(?:-[a-z0-9]+)+(?:\s+[a-z0-9-]+)*$/.test(plain);
  if (/^\p{Lu}\p{Ll}+[.…:!?]*$/u.test(plain)) return !KEY_NAMES.has(plain);
  return /^\p{L}+[.…:!?]$/u.test(plain) || /^\p{Lu}\p{Ll}+(?:[-’]\p{Ll}+)+$/u.test(plain);
}
const hasLetters = (text: string) => /\p{L}/u.test(text);

/** A literal's own words, with `{}` where something is put in. */
const ofLiteral = (node: ts.Node): string | null =>
  ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
    ? node.text
    : ts.isTemplateExpression(node)
      ? node.head.text + node.templateSpans.map((span) => `{}${span.literal.text}`).join('')
      : null;

/** Whether a literal stands where a value is a code: compared, a name of a property, a type, an error nobody but a developer reads. */
function isCode(node: ts.Node): boolean {
  const { parent } = node;
  if (ts.isTypeNode(parent) || ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isCaseClause(parent)) return true;
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true;
  if (ts.isElementAccessExpression(parent) || ts.isPropertySignature(parent) || ts.isComputedPropertyName(parent)) return true;
  if (ts.isBinaryExpression(parent) && /^(?:EqualsEqualsEquals|ExclamationEqualsEquals|In)/.test(ts.SyntaxKind[parent.operatorToken.kind]!))
    return true;
  if (ts.isNewExpression(parent)) return parent.expression.getText().endsWith('Error') || parent.expression.getText() === 'RegExp';
  if (ts.isCallExpression(parent)) {
    const called = parent.expression.getText();
    if (
      /(?:^|\.)(?:t|phrase|querySelector(?:All)?|closest|matches|addEventListener|emit|inject|getItem|setItem|fromFormat|toFormat|import|split|join|includes|startsWith|endsWith|postMessage|hasFormat)$/.test(
        called,
      )
    )
      return true;
    if (/^console\./.test(called)) return true;
  }
  return ts.isTaggedTemplateExpression(parent);
}
/** Whether it is the value of something whose values are said, also as a branch of a choice. */
function isNamedSaid(node: ts.Node): boolean {
  let at: ts.Node = node;
  while (ts.isConditionalExpression(at.parent) && at.parent.condition !== at) at = at.parent;
  const { parent } = at;
  if (ts.isPropertyAssignment(parent)) {
    if (SAID_NAME.test(parent.name.getText().replace(/['"]/g, ''))) return true;
    let object: ts.Node = parent.parent;
    while (ts.isAsExpression(object.parent) || ts.isSatisfiesExpression(object.parent)) object = object.parent;
    return ts.isVariableDeclaration(object.parent) && SAID_NAME.test(object.parent.name.getText());
  }
  return false;
}

const isSentence = (node: ts.Node) => ts.isCallExpression(node) && /^(?:t|phrase)$/.test(node.expression.getText());
/** Whether it is put into a sentence of a catalogue, or what a shown expression comes to, also as a branch of a choice. */
function isShown(node: ts.Node, shown: boolean): boolean {
  let at: ts.Node = node;
  for (;;) {
    const { parent } = at;
    const chosen = ts.isConditionalExpression(parent) && parent.condition !== at;
    const either =
      ts.isBinaryExpression(parent) &&
      [ts.SyntaxKind.QuestionQuestionToken, ts.SyntaxKind.BarBarToken, ts.SyntaxKind.PlusToken].includes(parent.operatorToken.kind);
    if (chosen || either || ts.isParenthesizedExpression(parent) || ts.isTemplateSpan(parent) || ts.isTemplateExpression(parent))
      at = parent;
    else if (ts.isPropertyAssignment(parent)) return isSentence(parent.parent.parent);
    else return shown && ts.isExpressionStatement(parent) && ts.isSourceFile(parent.parent);
  }
}

/** What is said in an expression or a script; places are counted from its beginning. What an expression shows is said, however short. */
export function saidInScript(source: string, shown = false): (Said & { readonly node: ts.Node; readonly file: ts.SourceFile })[] {
  const file = ts.createSourceFile('a.ts', source, ts.ScriptTarget.Latest, true);
  const found: (Said & { node: ts.Node; file: ts.SourceFile })[] = [];
  const visit = (node: ts.Node): void => {
    const text = ofLiteral(node);
    if (text !== null && !CODES.has(text) && !isCode(node)) {
      const plain = text.replace(/\{\}/g, ' ').trim();
      if (isSaid(text.replace(/\{\}/g, '0').trim()) || ((isNamedSaid(node) || isShown(node, shown)) && hasLetters(plain))) {
        found.push({ from: node.getStart(file), to: node.getEnd(), text, node, file });
        return;
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** Runs of text and what is put into it between the elements of a template, and its attributes and expressions that are said. */
export interface TemplateSaid {
  readonly runs: readonly (readonly TemplateNode[])[];
  readonly attributes: readonly TemplateNode[];
  /** Expressions in which something may be said: their places in the file. */
  readonly expressions: readonly { readonly from: number; readonly source: string; readonly statement: boolean; readonly shown: boolean }[];
}

/** Attributes whose words are read or heard, however short. */
const SPOKEN = /^(?:label|title|placeholder|aria-label|alt|nothing|unit|what)$/;
const isBlank = (node: TemplateNode) =>
  node.type === INTERPOLATION && /^['"`]\s*['"`]$/.test((node.content as { content: string }).content.trim());
const inRun = (node: TemplateNode) => node.type === TEXT || node.type === INTERPOLATION;

export function saidInTemplate(root: TemplateNode): TemplateSaid {
  const runs: TemplateNode[][] = [];
  const attributes: TemplateNode[] = [];
  const expressions: { from: number; source: string; statement: boolean; shown: boolean }[] = [];
  const visit = (node: TemplateNode, parent: TemplateNode | null): void => {
    if (node.type === ELEMENT)
      for (const prop of node.props ?? []) {
        if (prop.type === ATTRIBUTE && prop.value && !TECHNICAL.test(prop.name!)) {
          if (isSaid(prop.value.content) || (SPOKEN.test(prop.name!) && hasLetters(prop.value.content))) attributes.push(prop);
        }
        if (prop.type === DIRECTIVE && prop.exp && !['for', 'slot', 'if', 'else-if', 'show', 'model'].includes(prop.name!)) {
          if (prop.name === 'bind' && TECHNICAL.test(prop.arg?.content ?? '')) continue;
          expressions.push({
            from: prop.exp.loc.start.offset,
            source: prop.exp.content,
            statement: prop.name === 'on',
            shown: SPOKEN.test(prop.arg?.content ?? ''),
          });
        }
      }
    let run: TemplateNode[] = [];
    const end = () => {
      while (run.length > 0 && isBlank(run[0]!)) run.shift();
      while (run.length > 0 && isBlank(run.at(-1)!)) run.pop();
      if (run.some((each) => each.type === TEXT && hasLetters(String(each.content)))) runs.push(run);
      else
        for (const each of run)
          if (each.type === INTERPOLATION) {
            const content = each.content as { content: string; loc: Place };
            expressions.push({ from: content.loc.start.offset, source: content.content, statement: false, shown: true });
          }
      run = [];
    };
    for (const child of node.children ?? []) {
      if (inRun(child) && parent?.tag !== 'kbd' && node.tag !== 'kbd') run.push(child);
      else {
        end();
        visit(child, node);
      }
    }
    end();
  };
  visit(root, null);
  return { runs, attributes, expressions };
}

/** Everything said in a file of the interface, outside the catalogues. */
export function saidIn(path: string, source: string): string[] {
  if (!path.endsWith('.vue')) return saidInScript(source).map(({ text }) => text);
  const { descriptor } = parse(source);
  const scripts = [descriptor.script, descriptor.scriptSetup].flatMap((block) => (block ? saidInScript(block.content) : []));
  const template = descriptor.template?.ast ? saidInTemplate(descriptor.template.ast as unknown as TemplateNode) : null;
  return [
    ...scripts.map(({ text }) => text),
    ...(template?.runs.map((run) =>
      run
        .map((each) => source.slice(each.loc.start.offset, each.loc.end.offset))
        .join('')
        .trim(),
    ) ?? []),
    ...(template?.attributes.map((each) => each.value!.content) ?? []),
    ...(template?.expressions.flatMap((each) =>
      saidInScript(each.statement ? each.source : `(${each.source})`, each.shown).map(({ text }) => text),
    ) ?? []),
  ];
}
