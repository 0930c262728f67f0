// An amount that goes up and down by packs; what it means is asked of the server and said beside it.
Alpine.data("amount", () => ({
  asked: 0,
  step(by) {
    const pack = Number(this.$root.dataset.pack);
    const now = Number(this.$refs.amount.value.replace(",", ".")) || 0;
    const packs = by > 0 ? Math.floor(now / pack + 1e-9) + 1 : Math.ceil(now / pack - 1e-9) - 1;
    this.$refs.amount.value = String(Number((Math.max(0, packs) * pack).toFixed(6)));
    this.ask();
  },
  less() {
    this.step(-1);
  },
  more() {
    this.step(1);
  },
  async ask() {
    const from = this.$root.dataset.item;
    const turn = ++this.asked;
    if (!from) {
      return;
    }
    const answer = await fetch(`${from}?amount=${encodeURIComponent(this.$refs.amount.value.replace(",", "."))}`);
    if (turn !== this.asked || !answer.ok) {
      return;
    }
    const says = await answer.json();
    this.$refs.lasts.textContent = says.why;
    this.$refs.packs.textContent = says.packs;
    this.$refs.money.textContent = says.money;
    this.$refs.each.textContent = says.each;
    this.$refs.problem.textContent = says.problem;
  },
}));
