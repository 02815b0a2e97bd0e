import { readFileSync } from 'node:fs';
import { parse } from 'vue/compiler-sfc';
import ts from 'typescript';

type Ast = NonNullable<NonNullable<ReturnType<typeof parse>['descriptor']['template']>['ast']>;
type TemplateNode = Ast['children'][number];

/** A string that may stand on the screen, and where it is written. */
export interface VisibleString {
  text: string;
  path: string;
  line: number;
}

/** Attributes whose value is never read by anybody. */
const SILENT = new Set(
  'class style id key type role for d viewBox transform name icon severity size to href slot is rel target autocomplete inputmode fill stroke points scope variant position list x y width height'.split(
    ' ',
  ),
);
/** What is a name in code rather than words: one word in lower case or camel case, a path, a class, a pattern. */
const isCode = (text: string): boolean =>
  !/^[A-Z][a-z]+$/.test(text) &&
  (!/[a-z]{2}/i.test(text) ||
    /^[\w#./:$@…-]*$/.test(text) ||
    /^[a-z]+([A-Z][a-z]*)+$/.test(text) ||
    /[{}<>]=?|=>|;$/.test(text));

/** The words of the literals of some TypeScript; a template literal with “…” for what is put in. */
function literals(code: string, path: string, from: number): VisibleString[] {
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true);
  const found: VisibleString[] = [];
  const add = (node: ts.Node, text: string): void => {
    const clean = text.replace(/\s+/g, ' ').trim();
    if (isCode(clean) && !isLabel(node)) return;
    const { line } = source.getLineAndCharacterOfPosition(node.getStart());
    found.push({ text: clean, path, line: from + line });
  };
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      add(node, [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…'));
    }
    ts.forEachChild(node, walk);
  };
  walk(source);
  return found;
}

/** Properties whose value is shown however it looks: a single word in lower case too. */
const LABELS = new Set([
  'label',
  'title',
  'words',
  'says',
  'header',
  'hint',
  'summary',
  'text',
  'placeholder',
  'reason',
]);
const isLabel = (node: ts.Node): boolean =>
  ts.isPropertyAssignment(node.parent) && ts.isIdentifier(node.parent.name) && LABELS.has(node.parent.name.text);

function ofTemplate(node: TemplateNode, path: string): VisibleString[] {
  const line = node.loc.start.line;
  const words = (text: string): VisibleString[] => {
    const clean = text.replace(/\s+/g, ' ').trim();
    return /[a-z]{2}/i.test(clean) ? [{ text: clean, path, line }] : [];
  };
  // The kinds of nodes of Vue’s template: 1 element, 2 text, 5 interpolation, 6 attribute, 7 directive.
  if (node.type === 2) return words(node.content);
  if (node.type === 5) return node.content.type === 4 ? literals(`(${node.content.content})`, path, line) : [];
  if (node.type !== 1) return [];
  const own = node.props.flatMap((prop) => {
    if (prop.type === 6) return prop.value && !SILENT.has(prop.name) ? words(prop.value.content) : [];
    if (prop.name === 'on' || prop.name === 'slot' || prop.name === 'for') return [];
    const bound = prop.arg?.type === 4 ? prop.arg.content : '';
    if (SILENT.has(bound) || prop.exp?.type !== 4) return [];
    return literals(`(${prop.exp.content})`, path, prop.loc.start.line);
  });
  return [...own, ...node.children.flatMap((child) => ofTemplate(child, path))];
}

/** Every string of a file of the interface that may be shown: text and attributes of a template, and literals of scripts. */
export function visibleStrings(path: string): VisibleString[] {
  const source = readFileSync(path, 'utf8');
  if (!path.endsWith('.vue')) return literals(source, path, 1);
  const { descriptor } = parse(source, { filename: path });
  const script = descriptor.scriptSetup ?? descriptor.script;
  return [
    ...(script ? literals(script.content, path, script.loc.start.line) : []),
    ...(descriptor.template?.ast?.children ?? []).flatMap((child) => ofTemplate(child, path)),
  ];
}
