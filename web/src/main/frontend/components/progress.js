// Work in the background says how far it is; the page is loaded anew when it has come to an end.
Alpine.data("progress", () => ({
  rows: "",
  init() {
    this.rows = this.$refs.rows.textContent;
    setTimeout(() => this.follow(), 300);
  },
  async follow() {
    const answer = await fetch(this.$root.dataset.progress);
    const progress = answer.ok ? await answer.json() : { running: false };
    if (progress.running) {
      this.rows = progress.rows.toLocaleString("en");
      setTimeout(() => this.follow(), 700);
    } else {
      location.assign(location.pathname);
    }
  },
}));
