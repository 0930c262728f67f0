// A scanner types like a keyboard: what is typed outside a field goes to the field that waits for a scan, and
// where a page has none of its own to the one that finds.
const waits = (field) => field.hasAttribute("data-scan") || !document.querySelector("[data-scan]");

// Nobody types two letters within so many milliseconds; a scanner does.
const BURST = 45;

// Letters do nothing to a tick. In a drop-down they choose, so there only a scanner's go to another field.
const isTick = (element) => ["checkbox", "radio"].includes(element.type);

Alpine.data("scanField", () => ({
  last: null,
  init() {
    // what was refused is replaced by the next scan
    if (this.$root.hasAttribute("data-scan") && this.$root.value !== "") {
      this.$root.focus();
      this.$root.select();
    }
  },
  follow(event) {
    const types = event.key.length === 1 && event.key !== " " && event.key !== "?";
    const held = event.ctrlKey || event.metaKey || event.altKey;
    if (!types || held || !waits(this.$root)) {
      this.last = null;
      return;
    }
    if (event.target.tagName === "SELECT") {
      this.overList(event);
    } else if (!isField(event.target) || isTick(event.target)) {
      this.$root.focus();
    }
  },
  overList(event) {
    const list = event.target;
    const before = this.last;
    this.last = { list, at: event.timeStamp, key: event.key, value: list.value };
    if (before !== null && before.list === list && event.timeStamp - before.at < BURST) {
      list.value = before.value;
      this.$root.value = before.key + event.key;
      this.$root.focus();
      event.preventDefault();
      this.last = null;
    }
  },
}));
