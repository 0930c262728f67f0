// Copies what ships from the packages into the application's static files: fonts, scripts, one icon sprite.
import { cpSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { decompress } from "wawoff2";

const packages = new URL("node_modules/", import.meta.url);
const assets = new URL("../../../target/classes/static/assets/", import.meta.url);

const fonts = ["next", "mono"].flatMap((face) =>
  ["latin", "latin-ext"].map((script) => [face, script]),
);
const icons = [
  "layout-grid", "truck", "search", "inbox", "waves", "book-open", "scan-barcode", "droplet", "log-out", "settings-2", "anchor",
  "camera", "boxes",
];

mkdirSync(new URL("fonts/", assets), { recursive: true });
for (const [face, script] of fonts) {
  const name = `atkinson-hyperlegible-${face}`;
  cpSync(
    new URL(`@fontsource-variable/${name}/files/${name}-${script}-wght-normal.woff2`, packages),
    new URL(`fonts/${name}-${script}.woff2`, assets),
  );
}
// Paper is set in the same faces; its renderer reads them unpacked.
const paper = new URL("../../../target/classes/dev/lonja/web/document/", import.meta.url);
mkdirSync(paper, { recursive: true });
for (const face of ["next", "mono"]) {
  for (const weight of ["400", "700"]) {
    const name = `atkinson-hyperlegible-${face}`;
    const packed = readFileSync(
      new URL(`@fontsource/${name}/files/${name}-latin-${weight}-normal.woff2`, packages),
    );
    writeFileSync(new URL(`${face}-${weight}.ttf`, paper), await decompress(packed));
  }
}
cpSync(new URL("@alpinejs/csp/dist/cdn.min.js", packages), new URL("alpine.js", assets));
cpSync(new URL("@zxing/library/umd/index.min.js", packages), new URL("zxing.js", assets));
cpSync(new URL("worker/aisle.js", import.meta.url), new URL("aisle.js", assets));
cpSync(new URL("favicon.svg", import.meta.url), new URL("favicon.svg", assets));
// One file a component, one file for the browser; each keeps its names to itself and sees what all share.
const components = new URL("components/", import.meta.url);
const shared = readFileSync(new URL("shared.js", import.meta.url), "utf8");
const scripts = readdirSync(components)
  .sort()
  .map((file) => `{\n${readFileSync(new URL(file, components), "utf8")}}\n`);
writeFileSync(
  new URL("components.js", assets),
  `document.addEventListener("alpine:init", () => {\n${shared}${scripts.join("")}});\n`,
);

const symbols = icons.map((icon) => {
  const source = readFileSync(new URL(`lucide-static/icons/${icon}.svg`, packages), "utf8");
  const shapes = source.slice(source.indexOf(">", source.indexOf("<svg")) + 1, source.indexOf("</svg>"));
  return `<symbol id="${icon}" viewBox="0 0 24 24">${shapes.trim()}</symbol>`;
});
writeFileSync(
  new URL("icons.svg", assets),
  `<svg xmlns="http://www.w3.org/2000/svg">${symbols.join("")}</svg>\n`,
);
