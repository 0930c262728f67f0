// Says how far the trials are, and when they are there; it leaves the page as it is, since somebody may be scanning.
Alpine.data("drawn", () => ({
  percent: "",
  there: false,
  init() {
    this.percent = this.$refs.percent.textContent;
    setTimeout(() => this.follow(), 300);
  },
  async follow() {
    const answer = await fetch(this.$root.dataset.drawing);
    const drawing = answer.ok ? await answer.json() : { running: false };
    this.there = !drawing.running;
    if (drawing.running) {
      this.percent = drawing.percent;
      setTimeout(() => this.follow(), 700);
    }
  },
}));
