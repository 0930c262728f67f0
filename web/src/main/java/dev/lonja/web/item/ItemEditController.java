package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.item.ItemEditDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The forms of items. What was typed stays when a form is refused. */
@Controller
class ItemEditController {

  private final ItemEditDesk desk;

  ItemEditController(ItemEditDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/items/new")
  String newItem(
      @RequestParam Optional<ItemId> like,
      @RequestParam Optional<PartId> part,
      @RequestParam Map<String, String> typed,
      Model model) {
    Map<String, String> fields = new HashMap<>(desk.begun(like, part));
    fields.putAll(fields(typed));
    return newPage(fields, List.of(), model);
  }

  @PostMapping("/items/new")
  String add(Sent sent, @RequestParam Map<String, String> request, Model model) {
    Map<String, String> fields = fields(request);
    Typed typed = new Typed();
    return new ItemForm(fields, desk.currency(), typed)
        .read()
        .map(
            draft ->
                Reply.to(desk.add(sent, draft))
                    .onto(id -> "/items/" + id)
                    .worded(ItemRefusals.WORDS)
                    .or(problems -> newPage(fields, problems, model)))
        .orElseGet(() -> newPage(fields, typed.problems(), model));
  }

  @GetMapping("/items/{id}/edit")
  String form(@PathVariable ItemId id, @RequestParam Map<String, String> typed, Model model) {
    return page(id, fields(typed), List.of(), model);
  }

  @PostMapping("/items/{id}/edit")
  String edit(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> request,
      Model model) {
    Map<String, String> fields = fields(request);
    Typed typed = new Typed();
    return new ItemForm(fields, desk.currency(), typed)
        .read()
        .map(draft -> desk.edit(sent, id, version, draft))
        .map(outcome -> afterEdit(outcome, id, fields, model))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  private String afterEdit(Outcome outcome, ItemId id, Map<String, String> fields, Model model) {
    return outcome.isRefusedFor(RequestRefusal.CHANGED_MEANWHILE)
        ? conflict(id, fields, model)
        : Reply.to(outcome)
            .onto("/items/" + id)
            .worded(ItemRefusals.WORDS)
            .or(problems -> page(id, fields, problems, model));
  }

  @PostMapping("/items/{id}/retire")
  String retire(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "false") boolean again,
      Model model) {
    return Reply.to(desk.retire(sent, id, version, again))
        .onto("/items/" + id)
        .or(problems -> page(id, Map.of(), problems, model));
  }

  @PostMapping("/items/{id}/delete")
  String delete(@PathVariable ItemId id, Sent sent, Model model) {
    return Reply.to(desk.delete(sent, id))
        .onto(part -> "/parts/" + part)
        .worded(ItemRefusals.WORDS)
        .or(problems -> page(id, Map.of(), problems, model));
  }

  private ItemEditDesk.OnFile onFile(ItemId id) {
    return desk.onFile(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private static Map<String, String> fields(Map<String, String> typed) {
    Map<String, String> fields = new HashMap<>(typed);
    fields.keySet().removeAll(List.of("requestKey", "_csrf", "version", "like", "part"));
    return fields;
  }

  /** The form of an item on file, with what was typed or, if nothing was, with what is stored. */
  private String page(ItemId id, Map<String, String> typed, List<Problem> problems, Model model) {
    ItemEditDesk.OnFile file = onFile(id);
    return page(
        ItemFormView.of(Optional.of(file), typed.isEmpty() ? file.fields() : typed, desk.choices()),
        problems,
        model);
  }

  private String newPage(Map<String, String> fields, List<Problem> problems, Model model) {
    return page(ItemFormView.of(Optional.empty(), fields, desk.choices()), problems, model);
  }

  private static String page(ItemFormView view, List<Problem> problems, Model model) {
    model.addAttribute("view", view);
    model.addAttribute("problems", problems);
    return "item/form";
  }

  /** A field in which the two versions differ. */
  record Difference(String field, String theirs, String mine) {}

  private String conflict(ItemId id, Map<String, String> mine, Model model) {
    ItemEditDesk.OnFile theirs = onFile(id);
    List<Difference> differences = new ArrayList<>();
    Map<String, String> same = new TreeMap<>();
    TreeSet<String> names = new TreeSet<>(mine.keySet());
    names.addAll(theirs.fields().keySet());
    for (String name : names) {
      String there = theirs.fields().getOrDefault(name, "");
      String here = mine.getOrDefault(name, "").strip();
      if (there.equals(here)) {
        same.put(name, here);
      } else {
        differences.add(new Difference(name, there, here));
      }
    }
    model.addAttribute(
        "view", ItemFormView.of(Optional.of(theirs), theirs.fields(), desk.choices()));
    model.addAttribute("differences", differences);
    model.addAttribute("same", same);
    return "item/conflict";
  }
}
