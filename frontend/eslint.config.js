import { readdirSync } from "node:fs";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

// Each layer may use those before it, and no place another: what places have in common lies in features/shared.
const LAYERS = ["lib", "api", "model", "ui", "scene", "features", "app"];
const places = readdirSync(new URL("src/features", import.meta.url)).filter((name) => name !== "shared");
const kept = (files, group, message) => ({
  files,
  rules: { "@typescript-eslint/no-restricted-imports": ["error", { patterns: [{ group, message }] }] },
});
const upwards = (above) => above.flatMap((layer) => [`**/${layer}/*`, `**/${layer}/**`]);
const ABOVE = "A layer uses only those below it: lib, api, model, ui, scene, features, app.";

export default tseslint.config(
  { ignores: ["dist", "node_modules", "src/api/generated", "eslint.config.js"] },
  ...tseslint.configs.recommendedTypeChecked,
  { languageOptions: { parserOptions: { projectService: true } } },
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat["recommended-latest"] ?? reactHooks.configs.flat.recommended,
  {
    rules: {
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
      // What is read on a screen stands in config/messages: model/ and lib/ hold no sentence, parts say what they are given.
      "no-restricted-syntax": [
        "error",
        ...[
          "JSXText[value=/[A-Za-z]{2}/]",
          "JSXAttribute[name.name=/^(aria-label|label|hint|name|title|alt|placeholder)$/] > Literal[value=/[A-Z]|[a-z] [a-z]/]",
          "JSXAttribute[name.name=/^(aria-label|label|hint|name|title|alt|placeholder)$/] TemplateElement[value.raw=/[A-Za-z]{2} | [A-Za-z]{2}/]",
          "JSXExpressionContainer > :matches(ConditionalExpression, LogicalExpression) > Literal[value=/[a-z] [a-z]/]",
          "ConditionalExpression > TemplateLiteral > TemplateElement[value.raw=/[a-z]{2} [a-z]/]",
        ].map((selector) => ({ selector, message: "Say it through say(): its words stand in config/messages." })),
      ],
      // React Aria's own parts focus for a reason: a dialogue's first field.
      "jsx-a11y/no-autofocus": "off",
    },
  },
  ...LAYERS.slice(0, -2).map((layer, index) => kept([`src/${layer}/**`], upwards(LAYERS.slice(index + 1)), ABOVE)),
  kept(["src/features/shared/**"], [...upwards(["app"]), ...places.map((place) => `**/${place}/**`)], ABOVE),
  ...places.map((place) =>
    kept(
      [`src/features/${place}/**`],
      [...upwards(["app"]), ...places.filter((other) => other !== place).map((other) => `../**/${other}/*`)],
      "A place uses no other place: what they share lies in features/shared.",
    ),
  ),
);
