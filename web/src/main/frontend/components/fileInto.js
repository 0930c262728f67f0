// A file is read into the field it is meant for, to be seen before anything is sent.
Alpine.data("fileInto", () => ({
  async read() {
    const field = document.getElementById(this.$root.dataset.into);
    const file = this.$root.files[0];
    if (field && file) {
      field.value = await file.text();
      field.focus();
    }
  },
}));
