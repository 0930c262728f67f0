// What the store knows is offered while a field is filled in; the browser's own list, so arrows and Enter choose.
const listFor = (field) => {
  if (!field.list) {
    const list = document.createElement("datalist");
    list.id = `offers-${field.id}`;
    field.after(list);
    field.setAttribute("list", list.id);
  }
  return field.list;
};

const optionOf = ({ value, words }) => {
  const option = document.createElement("option");
  option.value = value;
  option.label = words === "" ? value : `${value}, ${words}`;
  return option;
};

const offer = async (field) => {
  const typed = field.value;
  const answer = await fetch(`/offers/${field.dataset.offer}?q=${encodeURIComponent(typed)}`);
  if (answer.ok && field.value === typed) {
    listFor(field).replaceChildren(...(await answer.json()).map(optionOf));
  }
};

document.addEventListener("input", (event) => {
  if (event.target.dataset?.offer && event.target.value.trim() !== "") {
    offer(event.target);
  }
});
