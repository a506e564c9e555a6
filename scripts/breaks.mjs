import ts from "typescript";

/**
 * @typedef {{ start: number, end: number, text: string, what: string }} Break A piece of a file, and what it is broken to.
 */

/** @type {Record<string, string>} */
const OTHER_SIGN = { "+": "-", "-": "+", "*": "/", "/": "*" };
/** @type {Record<string, string>} */
const OTHER_TEST = { "<": ">=", "<=": ">", ">": "<=", ">=": "<", "===": "!==", "!==": "===", "&&": "||", "||": "&&" };
/** Of counts: two lengths in mm are never quite equal, so that nobody can tell on which side of an edge they fall. @type {Record<string, string>} */
const ITS_EDGE = { "<": "<=", "<=": "<", ">": ">=", ">=": ">" };

/**
 * Every small break of a file of TypeScript: signs flipped, comparisons turned round, those of counts moved to their edge, conditions dropped,
 * constants changed by a hundredth, greatest for least, and in what is said one text for another. How long something waits is left as it is: no
 * test looks at a clock.
 * @param {string} path
 * @param {string} source
 * @returns {Break[]}
 */
export function breaksOf(path, source) {
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.Latest, true);
  /** @type {Break[]} */
  const breaks = [];
  /** @type {ts.StringLiteralLike[]} */
  const texts = [];
  /** @param {ts.Node} node @param {string} text @param {string} what */
  const put = (node, text, what) => breaks.push({ start: node.getStart(file), end: node.getEnd(), text, what });
  /** @param {ts.Node} node */
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const sign = node.operatorToken.getText(file);
      const isCount = [node.left, node.right].some((side) => isCounted(side.getText(file)));
      const other = OTHER_SIGN[sign] ?? (isCount ? ITS_EDGE[sign] : undefined) ?? OTHER_TEST[sign];
      const isText = sign === "+" && [node.left, node.right].some((side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side));
      if (other && !isText) put(node.operatorToken, other, `${sign} is ${other}`);
    } else if (ts.isIfStatement(node)) {
      put(node.expression, "false", `never: if (${node.expression.getText(file).slice(0, 50)})`);
    } else if (ts.isConditionalExpression(node)) {
      put(node.condition, "true", `always: ${node.condition.getText(file).slice(0, 50)}`);
    } else if (ts.isNumericLiteral(node) && !isKey(node) && !isTime(node)) {
      const value = Number(node.text);
      put(node, Number.isInteger(value) ? String(value + 1) : String(value * 1.01), `${node.text} is a little more`);
    } else if (ts.isPropertyAccessExpression(node) && node.expression.getText(file) === "Math") {
      const other = { min: "max", max: "min", floor: "ceil", ceil: "floor", sin: "cos", cos: "sin" }[node.name.text];
      if (other) put(node.name, other, `Math.${node.name.text} is Math.${other}`);
    } else if (ts.isStringLiteralLike(node) && !isKey(node)) {
      texts.push(node);
    } else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
      put(node, node.operand.getText(file), `not is not: ${node.getText(file).slice(0, 50)}`);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  if (path.includes("/words/")) {
    texts.forEach((text, i) => {
      const other = texts[(i + 1) % texts.length];
      if (other && other.text !== text.text) put(text, other.getText(file), `"${text.text.slice(0, 30)}" is "${other.text.slice(0, 30)}"`);
    });
  }
  return breaks;
}

/** @param {string} text */
function isCounted(text) {
  return /^\d+$|\.(length|size)$/.test(text);
}

/** Whether a number is a time to wait, by its constant's name. @param {ts.Node} node */
function isTime({ parent }) {
  return ts.isVariableDeclaration(parent) && /_MS$/.test(parent.name.getText());
}

/** Whether a literal names a property, or is part of a type. @param {ts.Node} node */
function isKey(node) {
  const { parent } = node;
  return (ts.isPropertyAssignment(parent) && parent.name === node) || ts.isTypeNode(parent) || ts.isElementAccessExpression(parent);
}
