// A link to a line opens the figures folded in it.
Alpine.data("openByLink", () => ({
  init() {
    this.follow();
  },
  follow() {
    const line = location.hash && document.getElementById(location.hash.slice(1));
    if (line && this.$root.contains(line)) {
      line.querySelector("details")?.setAttribute("open", "");
    }
  },
}));
