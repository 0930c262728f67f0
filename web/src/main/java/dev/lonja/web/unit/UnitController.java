package dev.lonja.web.unit;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Units that come into the fleet or leave it. */
@Controller
class UnitController {

  private static final String START_FIELD = "start-";

  private final UnitDesk desk;
  private final UnitImportDesk imports;

  UnitController(UnitDesk desk, UnitImportDesk imports) {
    this.desk = desk;
    this.imports = imports;
  }

  @GetMapping("/fleet/new")
  String newUnit(@RequestParam(defaultValue = "") String like, Model model) {
    return page(like, Map.of(), List.of(), model);
  }

  @PostMapping("/fleet/new")
  String add(
      Sent sent,
      @RequestParam String like,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam String inService,
      @RequestParam Map<String, String> typed,
      Model model) {
    Map<String, String> starts = new HashMap<>();
    typed.forEach(
        (field, value) -> {
          if (field.startsWith(START_FIELD)) {
            starts.put(field.substring(START_FIELD.length()), value);
          }
        });
    UnitDesk.Form form = new UnitDesk.Form(like, code, name, inService, new TreeMap<>(starts));
    Outcome outcome = desk.add(sent, form);
    return outcome.next(problems -> page(like, typed, problems, model));
  }

  @GetMapping("/fleet/import")
  String table(Model model) {
    return table("", List.of(), model);
  }

  /** Shows what would come in, or takes it in once that was seen. */
  @PostMapping("/fleet/import")
  String table(
      Sent sent,
      @RequestParam String table,
      @RequestParam(defaultValue = "false") boolean seen,
      Model model) {
    if (!seen) {
      return table(table, List.of(), model);
    }
    Outcome outcome = imports.take(sent, table);
    return outcome.next(problems -> table(table, problems, model));
  }

  private String table(String table, List<Problem> refused, Model model) {
    UnitImportDesk.Preview preview = imports.preview(table);
    model.addAttribute("view", preview);
    model.addAttribute("table", table);
    model.addAttribute("problems", preview.problems().isEmpty() ? refused : preview.problems());
    return "unit-import";
  }

  @PostMapping("/fleet/{code}/edit")
  String edit(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @ModelAttribute UnitDesk.EditForm form,
      RedirectAttributes next) {
    return desk.edit(sent, code, version, form)
        .next(
            problems -> {
              next.addFlashAttribute("problems", problems);
              next.addFlashAttribute("edit", form);
              return "redirect:/fleet/" + code;
            });
  }

  @PostMapping("/fleet/{code}/retire")
  String retire(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam String why,
      RedirectAttributes next) {
    Outcome outcome = desk.retire(sent, code, version, why);
    if (outcome instanceof Outcome.Done done) {
      return "redirect:" + done.answer();
    }
    next.addFlashAttribute("problems", ((Outcome.Refused) outcome).problems());
    next.addFlashAttribute("why", why);
    return "redirect:/fleet/" + code;
  }

  private String page(String like, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.newUnit(like));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "new-unit";
  }
}
