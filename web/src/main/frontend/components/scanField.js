// A scanner types like a keyboard: what is typed outside a field goes to the field that waits for a scan, and
// where a page has none of its own to the one that finds.
const waits = (field) => field.hasAttribute("data-scan") || !document.querySelector("[data-scan]");

Alpine.data("scanField", () => ({
  follow(event) {
    const types = event.key.length === 1 && event.key !== " " && event.key !== "?";
    const held = event.ctrlKey || event.metaKey || event.altKey;
    if (types && !held && !isField(event.target) && waits(this.$root)) {
      this.$root.focus();
    }
  },
}));
