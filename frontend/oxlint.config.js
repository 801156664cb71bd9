import { readdirSync } from "node:fs";
import { defineConfig } from "oxlint";

// Each layer may use those before it, and no place another: what places have in common lies in features/shared.
const LAYERS = ["lib", "api", "model", "ui", "scene", "features", "app"];
const places = readdirSync(new URL("src/features", import.meta.url)).filter((name) => name !== "shared");
const kept = (files, group, message) => ({
  files,
  rules: { "no-restricted-imports": ["error", { patterns: [{ group, message }] }] },
});
const upwards = (above) => above.flatMap((layer) => [`**/${layer}/*`, `**/${layer}/**`]);
const ABOVE = "A layer uses only those below it: lib, api, model, ui, scene, features, app.";

// What is read on a screen stands in config/messages: model/ and lib/ hold no sentence, parts say what they are given.
const WORDS = [
  "JSXText[value=/[A-Za-z]{2}/]",
  "JSXAttribute[name.name=/^(aria-label|label|hint|name|title|alt|placeholder)$/] > Literal[value=/[A-Z]|[a-z] [a-z]/]",
  "JSXAttribute[name.name=/^(aria-label|label|hint|name|title|alt|placeholder)$/] TemplateElement[value.raw=/[A-Za-z]{2} | [A-Za-z]{2}/]",
  "JSXExpressionContainer > :matches(ConditionalExpression, LogicalExpression) > Literal[value=/[a-z] [a-z]/]",
  "ConditionalExpression > TemplateLiteral > TemplateElement[value.raw=/[a-z]{2} [a-z]/]",
].map((selector) => ({ selector, message: "Say it through say(): its words stand in config/messages." }));

const KEYS = {
  selector: "Property[key.name='queryKey'] > ArrayExpression",
  message: "A key of server data is made in api/keys.ts.",
};

// Beside all of oxlint's "correctness": what keeps types honest.
const TYPES = [
  "ban-ts-comment",
  "no-empty-object-type",
  "no-explicit-any",
  "no-namespace",
  "no-require-imports",
  "no-unnecessary-type-assertion",
  "no-unnecessary-type-constraint",
  "no-unsafe-argument",
  "no-unsafe-assignment",
  "no-unsafe-call",
  "no-unsafe-enum-comparison",
  "no-unsafe-function-type",
  "no-unsafe-member-access",
  "no-unsafe-return",
  "only-throw-error",
  "prefer-promise-reject-errors",
  "require-await",
  "restrict-plus-operands",
];
const error = (names) => Object.fromEntries(names.map((name) => [name, "error"]));

export default defineConfig({
  plugins: ["typescript", "jsx-a11y", "react"],
  jsPlugins: [{ name: "eslint-js", specifier: "oxlint-plugin-eslint" }],
  ignorePatterns: ["src/api/generated"],
  categories: { correctness: "error" },
  options: { typeAware: true, typeCheck: true, denyWarnings: true, reportUnusedDisableDirectives: "error" },
  rules: {
    ...error(["no-array-constructor", "no-var", "prefer-const", "prefer-rest-params", "prefer-spread"]),
    ...error(["react/rules-of-hooks", "react/unsupported-syntax"]),
    ...error(TYPES.map((name) => `typescript/${name}`)),
    "typescript/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
    "eslint-js/no-restricted-syntax": ["error", ...WORDS, KEYS],
    // React Aria's own parts focus for a reason: a dialogue's first field.
    "jsx-a11y/no-autofocus": "off",
    // A role is given to parts that are styled, not to bare tags.
    "jsx-a11y/prefer-tag-over-role": "off",
    // The empty corner of a table is no control.
    "jsx-a11y/control-has-associated-label": "off",
  },
  overrides: [
    ...LAYERS.slice(0, -2).map((layer, index) => kept([`src/${layer}/**`], upwards(LAYERS.slice(index + 1)), ABOVE)),
    kept(["src/features/shared/**"], [...upwards(["app"]), ...places.map((place) => `**/${place}/**`)], ABOVE),
    ...places.map((place) =>
      kept(
        [`src/features/${place}/**`],
        [...upwards(["app"]), ...places.filter((other) => other !== place).map((other) => `../**/${other}/**`)],
        "A place uses no other place: what they share lies in features/shared.",
      ),
    ),
  ],
});
