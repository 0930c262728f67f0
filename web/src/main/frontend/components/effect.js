// A form that shows what it would mean asks the server while it is filled in; nothing is saved.
Alpine.data("effect", () => ({
  async show() {
    const body = new URLSearchParams(new FormData(this.$root));
    const answer = await fetch(this.$root.dataset.effect, { method: "POST", body });
    const place = document.querySelector(this.$root.dataset.effectIn);
    if (answer.ok && place) {
      place.innerHTML = await answer.text();
    }
  },
}));
