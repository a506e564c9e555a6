import next from "@next/eslint-plugin-next";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

const ROUND_LENGTH = {
  selector: "CallExpression[callee.name=/^(showLength|withUnit)$/] > Literal.arguments:first-child",
  message: "A round number of millimetres is none in inches: use smallLength, or a value of the plan.",
};

const TEXT_PROPS = "aria-label|aria-valuetext|aria-roledescription|label|title|placeholder|alt|hint|help|lead|unit|legend|summary";
const LETTERS = "/[A-Za-z]{2,}/";

const TEXTS = [
  `JSXText[value=${LETTERS}]`,
  `JSXAttribute[name.name=/^(${TEXT_PROPS})$/] > Literal[value=${LETTERS}]`,
  `JSXAttribute[name.name=/^(${TEXT_PROPS})$/] > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=${LETTERS}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > :matches(ConditionalExpression, LogicalExpression) > Literal[value=${LETTERS}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=${LETTERS}]`,
  `Property[key.name=/^(${TEXT_PROPS})$/] > :matches(Literal[value=${LETTERS}], TemplateLiteral > TemplateElement[value.raw=${LETTERS}])`,
].map((selector) => ({ selector, message: "Texts for people are in src/words: put it there and use it here." }));

const COLOURS = ["Literal", "TemplateElement"].map((node) => ({
  selector: `${node}[value${node === "Literal" ? "" : ".raw"}=/(^|[^(\\w])#[0-9a-fA-F]{3,8}\\b/]`,
  message: "Colours are tokens of globals.css: use one, or add one there.",
}));

export default ts.config(
  { ignores: ["node_modules", ".next", ".build", "src/formats/generated", "next-env.d.ts", "test-results", "playwright-report", "public"] },
  {
    files: ["**/*.{ts,tsx}"],
    extends: [ts.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { varsIgnorePattern: "^_", argsIgnorePattern: "^_" }],
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      "no-control-regex": "off",
      eqeqeq: "error",
    },
  },
  {
    files: ["**/*.{mjs,cjs}"],
    extends: [ts.configs.recommended],
    rules: { eqeqeq: "error", "@typescript-eslint/no-require-imports": "off" },
  },
  {
    files: ["src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks, "@next/next": next },
    rules: {
      ...hooks.configs["recommended-latest"].rules,
      // What the compiler cannot read it leaves uncompiled without a word: such a screen is drawn whole for every key.
      "react-hooks/todo": "error",
      "react-hooks/unsupported-syntax": "error",
      ...next.configs["core-web-vitals"].rules,
    },
  },
  {
    files: ["src/**/*.tsx"],
    ...a11y.flatConfigs.recommended,
    rules: {
      ...a11y.flatConfigs.recommended.rules,
      // A field that opens because the maker asked for it takes the focus.
      "jsx-a11y/no-autofocus": "off",
      // What scrolls by itself must be reached by the keys.
      "jsx-a11y/no-noninteractive-tabindex": ["error", { tags: ["li"], roles: ["group", "tabpanel"] }],
    },
  },
  {
    files: ["src/words/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: { "no-restricted-syntax": ["error", ROUND_LENGTH] },
  },
  {
    files: ["src/{app,ui,screens}/**/*.{ts,tsx}"],
    ignores: ["**/*.test.ts", "src/app/api/**"],
    rules: { "no-restricted-syntax": ["error", ROUND_LENGTH, ...TEXTS, ...COLOURS] },
  },
  {
    // The one table of the colours of stones.
    files: ["src/ui/stone-tint.ts", "src/app/manifest.ts"],
    rules: { "no-restricted-syntax": ["error", ROUND_LENGTH, ...TEXTS] },
  },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "window", "document", "process", "setTimeout", "performance", "fetch", "Date", "Intl"],
      "no-restricted-properties": ["error", { object: "Math", property: "random" }],
    },
  },
);
