// Sending a form twice does it once on the server; holding the button back merely says so at once.
Alpine.data("sendOnce", () => ({
  hold(event) {
    if (event.defaultPrevented) {
      return;
    }
    for (const button of event.target.querySelectorAll("button[type=submit]")) {
      setTimeout(() => button.setAttribute("aria-disabled", "true"));
    }
  },
}));
