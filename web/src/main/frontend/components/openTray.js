// Where it would cover the page the open tray begins as a bar with its number.
Alpine.data("openTray", () => ({
  init() {
    if (matchMedia("(max-width: 1100px)").matches) {
      this.$root.removeAttribute("open");
    }
  },
}));
