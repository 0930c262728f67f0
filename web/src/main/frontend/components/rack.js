// Puts a job on another shelf: dragged there, or by Alt and an arrow. A tray moves at once; a job that has none yet asks
// why on its own page, which shows what follows.
Alpine.data("rack", () => ({
  dragged: null,
  take(event) {
    this.dragged = event.target.closest?.("[data-tray], [data-wish]") ?? null;
    if (this.dragged) {
      event.dataTransfer.effectAllowed = "move";
      event.dataTransfer.setData("text/plain", "");
    }
  },
  over(event) {
    if (this.dragged && event.target.closest("[data-day]")) {
      event.preventDefault();
    }
  },
  drop(event) {
    const shelf = event.target.closest("[data-day]");
    if (this.dragged && shelf) {
      event.preventDefault();
      this.move(this.dragged, shelf);
    }
    this.dragged = null;
  },
  byKey(event) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const job = event.target.closest("[data-tray], [data-wish]");
    if (!event.altKey || !step || !job) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    const shelves = [...this.$root.querySelectorAll("[data-day]")];
    const next = shelves[shelves.indexOf(job.closest("[data-day]")) + step];
    next && this.move(job, next);
  },
  move(job, shelf) {
    const form = this.$refs.form;
    if (!form || job.closest("[data-day]") === shelf) {
      return;
    }
    if (job.dataset.wish) {
      location.assign(`${job.dataset.wish}&to=${shelf.dataset.day}`);
      return;
    }
    form.action = job.dataset.tray;
    form.elements.day.value = shelf.dataset.day;
    form.requestSubmit();
  },
}));
