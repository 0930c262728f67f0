// The open tray stands beside pages from which something can be put on it, and is a bar elsewhere and where it would cover
// the page; how a person left it is kept for each of the two.
const isNarrow = () => matchMedia("(max-width: 1100px)").matches;

Alpine.data("openTray", () => ({
  init() {
    const isUseful = Boolean(document.querySelector("[data-key=F4]"));
    this.place = `open-tray-${isUseful ? "useful" : "beside"}`;
    const kept = localStorage.getItem(this.place);
    this.$root.open = !isNarrow() && (kept === null ? isUseful : kept === "open");
  },
  // before the browser opens or folds it
  keep() {
    if (!isNarrow()) {
      localStorage.setItem(this.place, this.$root.open ? "folded" : "open");
    }
  },
}));
