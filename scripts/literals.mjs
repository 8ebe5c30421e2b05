// Words a reader sees that stand in a template or in code instead of the catalogue. `npm run types` asks.
import { Interpolation, parseTemplate, TmplAstRecursiveVisitor, tmplAstVisitAll } from '@angular/compiler';
import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

const APP = new URL('../apps/web/src/app/', import.meta.url);

/** Attributes and inputs whose words are read or heard. */
const READ =
  /^(attr\.)?(label|aria-label|aria-description|placeholder|title|alt|hint|header|heading|caption)$/;
/** Properties of options, columns and deeds that are shown. */
const SHOWN = new Set(['name', 'label', 'title', 'hint']);
const WORD = /\p{L}{2,}/u;
/** Within an expression only a sentence or a capital tells words from values such as 'joint'. */
const PROSE = /\p{L}{2,} \p{L}|^\p{Lu}\p{Ll}+/u;

/** The words of a template that no text of the catalogue says. */
function inTemplate(source, file) {
  const found = [];
  const { nodes, errors } = parseTemplate(source, file, { preserveWhitespaces: true });
  if (errors?.length) throw new Error(`${file}: ${errors[0].msg}`);
  const proseIn = ({ start, end }) =>
    [...source.slice(start.offset, end.offset).matchAll(/'((?:[^'\\]|\\.)*)'/g)]
      .map(([, words]) => words)
      .filter((words) => PROSE.test(words));
  // A word by itself is told from a key or a value where nothing is said with it.
  const choicesIn = ({ start, end }) => {
    const words = source.slice(start.offset, end.offset);
    return /texts\.|format\./.test(words)
      ? []
      : [...words.matchAll(/[?:]\s*'(\p{L}{3,})'/gu)].map(([, word]) => word);
  };
  class Visitor extends TmplAstRecursiveVisitor {
    visitElement(element) {
      for (const { name, value } of element.attributes)
        if (READ.test(name) && WORD.test(value)) found.push(value);
      for (const { name, sourceSpan } of element.inputs)
        if (READ.test(name) || name === 'value') found.push(...proseIn(sourceSpan));
      super.visitElement(element);
    }
    visitText({ value }) {
      if (WORD.test(value)) found.push(value.trim());
    }
    visitBoundText({ value, sourceSpan }) {
      if (value.ast instanceof Interpolation)
        found.push(...value.ast.strings.filter((part) => WORD.test(part)));
      found.push(...proseIn(sourceSpan), ...choicesIn(sourceSpan));
    }
  }
  tmplAstVisitAll(new Visitor(), nodes);
  return found;
}

/** Shown properties of a file that are written out. */
function inCode(source, file) {
  const found = [];
  const visit = (node) => {
    if (ts.isDecorator(node)) return;
    if (
      ts.isPropertyAssignment(node) &&
      SHOWN.has(node.name.getText()) &&
      (ts.isStringLiteral(node.initializer) || ts.isTemplateExpression(node.initializer)) &&
      PROSE.test(
        node.initializer
          .getText()
          .slice(1, -1)
          .replace(/\$\{[^}]*\}/g, ''),
      )
    )
      found.push(node.initializer.getText());
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true));
  return found;
}

/** All of them, each with its file. */
export function literals() {
  return readdirSync(APP, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /(?<!\.spec)\.(ts|html)$/.test(entry.name))
    .flatMap((entry) => {
      const file = `${entry.parentPath}/${entry.name}`;
      const source = readFileSync(file, 'utf8');
      const inside = file.endsWith('.html')
        ? inTemplate(source, file)
        : [
            ...[...source.matchAll(/template:\s*`((?:[^`\\]|\\.)*)`/g)].flatMap(([, one]) =>
              inTemplate(one, file),
            ),
            ...inCode(source, file),
          ];
      return inside.map(
        (words) => `${file.slice(APP.pathname.length)}: ${words.replace(/\s+/g, ' ').slice(0, 80)}`,
      );
    });
}
