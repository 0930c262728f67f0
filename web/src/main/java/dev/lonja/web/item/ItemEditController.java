package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
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
    return page(desk.newForm(like, part, fields(typed)), List.of(), model);
  }

  @PostMapping("/items/new")
  String add(Sent sent, @RequestParam Map<String, String> typed, Model model) {
    Map<String, String> fields = fields(typed);
    Outcome outcome = desk.add(sent, fields);
    return outcome.next(
        problems ->
            page(desk.newForm(Optional.empty(), Optional.empty(), fields), problems, model));
  }

  @GetMapping("/items/{id}/edit")
  String form(@PathVariable ItemId id, @RequestParam Map<String, String> typed, Model model) {
    return page(form(id, fields(typed)), List.of(), model);
  }

  @PostMapping("/items/{id}/edit")
  String edit(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> typed,
      Model model) {
    Map<String, String> fields = fields(typed);
    return desk.edit(sent, id, version, fields)
        .next(
            problems ->
                problems.stream().anyMatch(p -> p.field().equals(ItemEditDesk.VERSION))
                    ? conflict(id, fields, model)
                    : page(form(id, fields), problems, model));
  }

  @PostMapping("/items/{id}/retire")
  String retire(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "false") boolean again,
      Model model) {
    return desk.retire(sent, id, version, again)
        .next(problems -> page(form(id, Map.of()), problems, model));
  }

  @PostMapping("/items/{id}/delete")
  String delete(@PathVariable ItemId id, Sent sent, Model model) {
    return desk.delete(sent, id).next(problems -> page(form(id, Map.of()), problems, model));
  }

  private ItemFormView form(ItemId id, Map<String, String> fields) {
    return desk.form(id, fields)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private static Map<String, String> fields(Map<String, String> typed) {
    Map<String, String> fields = new HashMap<>(typed);
    fields.keySet().removeAll(List.of("requestKey", "_csrf", "version", "like", "part"));
    return fields;
  }

  private static String page(ItemFormView view, List<Problem> problems, Model model) {
    model.addAttribute("view", view);
    model.addAttribute("problems", problems);
    return "item-form";
  }

  /** A field in which the two versions differ. */
  record Difference(String field, String theirs, String mine) {}

  private String conflict(ItemId id, Map<String, String> mine, Model model) {
    ItemFormView theirs = form(id, Map.of());
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
    model.addAttribute("view", theirs);
    model.addAttribute("differences", differences);
    model.addAttribute("same", same);
    return "item-conflict";
  }
}
