// Bins in the order in which they are walked: dragged, or moved by Alt and an arrow; the places are written anew each time.
Alpine.data("arrange", () => ({
  dragged: null,
  take(event) {
    this.dragged = event.target.closest?.("li") ?? null;
    if (this.dragged) {
      event.dataTransfer.effectAllowed = "move";
      event.dataTransfer.setData("text/plain", "");
    }
  },
  over(event) {
    const onto = event.target.closest("li");
    if (this.dragged && onto) {
      event.preventDefault();
    }
  },
  drop(event) {
    const onto = event.target.closest("li");
    if (this.dragged && onto && onto !== this.dragged) {
      const isBefore = this.dragged.compareDocumentPosition(onto) & Node.DOCUMENT_POSITION_PRECEDING;
      onto[isBefore ? "before" : "after"](this.dragged);
      this.number();
    }
    this.dragged = null;
  },
  byKey(event) {
    const bin = event.target.closest("li");
    const next = { ArrowUp: bin?.previousElementSibling, ArrowDown: bin?.nextElementSibling }[event.key];
    if (event.altKey && next) {
      event.preventDefault();
      event.stopPropagation();
      next[event.key === "ArrowUp" ? "before" : "after"](bin);
      this.number();
      event.target.focus();
    }
  },
  number() {
    [...this.$root.children].forEach((bin, at) => (bin.querySelector(".arrange-at").value = String(at + 1)));
  },
}));
