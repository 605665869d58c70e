import js from "@eslint/js";
import imports from "eslint-plugin-import-x";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["target", "node_modules", "src/api/schema.d.ts", "src/api/bounds.ts", "build", "*.config.*"] },
  js.configs.recommended,
  ts.configs.strict,
  hooks.configs.flat["recommended-latest"],
  imports.flatConfigs.typescript,
  {
    settings: { "import-x/resolver": { typescript: true } },
    rules: { "import-x/no-cycle": "error" },
  },
  {
    files: ["src/places/**", "src/parts/**", "src/kits/**", "src/App.tsx"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "Literal[value=/^#[0-9a-fA-F]{3,8}$/]",
          message: "Use a token, not a raw colour.",
        },
        {
          selector: "JSXAttribute[name.name='maxLength']",
          message: "Use TextInput: it says how much fits and cuts nothing.",
        },
        ...["Literal[value=/text-\\[[0-9.]/]", "TemplateElement[value.raw=/text-\\[[0-9.]/]"].map((selector) => ({
          selector,
          message: "Use one of the seven sizes of theme.css, not a raw one.",
        })),
      ],
    },
  },
);
