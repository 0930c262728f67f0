package dev.lonja.web.unit;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.unit.UnitDesk;
import dev.lonja.desk.unit.UnitRefusal;
import dev.lonja.desk.unit.UnitTableDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Units on their way into the fleet, edited, and on their way out. */
@Controller
class UnitController {

  private final UnitDesk desk;
  private final UnitTableDesk tables;
  private final StoreClock clock;

  UnitController(UnitDesk desk, UnitTableDesk tables, StoreClock clock) {
    this.desk = desk;
    this.tables = tables;
    this.clock = clock;
  }

  /**
   * @param like a unit that the new one is to be like
   * @param variant the number of one, or "new"
   */
  @GetMapping("/fleet/new")
  String newUnit(
      @RequestParam(defaultValue = "") String like,
      @RequestParam(defaultValue = "") String variant,
      Model model) {
    return page(Map.of("like", like, "variant", variant), List.of(), model);
  }

  @PostMapping("/fleet/new")
  String add(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    return new NewUnitForm(fields, typed)
        .read(newUnit(fields).meters())
        .map(
            unit ->
                Reply.to(desk.add(sent, unit))
                    .onto(code -> "/fleet/" + code + "/last-done")
                    .worded(NewUnitForm.REFUSED)
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private NewUnitView newUnit(Map<String, String> fields) {
    return NewUnitView.of(
        desk.models(fields.getOrDefault("like", ""), fields.getOrDefault("variant", "")),
        clock.today());
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
    UnitTable read = UnitTable.of(table);
    if (!seen || !read.problems().isEmpty()) {
      return table(table, List.of(), model);
    }
    return Reply.to(tables.take(sent, read.rows()))
        .onto("/fleet")
        .worded(RefusalWording.of(UnitRefusal.BadRow.class, read::problem).and(UnitForms.REFUSED))
        .or(problems -> table(table, problems, model));
  }

  private String table(String table, List<Problem> refused, Model model) {
    UnitTable read = UnitTable.of(table);
    UnitTableDesk.Preview preview = tables.preview(read.rows());
    List<Problem> problems = new ArrayList<>(read.problems());
    preview.refusals().forEach(bad -> problems.add(read.problem(bad)));
    model.addAttribute("view", UnitTableView.of(preview));
    model.addAttribute("table", table);
    model.addAttribute("problems", problems.isEmpty() ? refused : problems);
    return "unit/table";
  }

  @PostMapping("/fleet/{code}/edit")
  String edit(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @ModelAttribute UnitForms.Edit form,
      RedirectAttributes next) {
    desk.admit();
    Typed typed = new Typed();
    List<Problem> problems =
        form.send(desk, sent, code, version, typed)
            .map(outcome -> Reply.to(outcome).worded(UnitForms.REFUSED).problems())
            .orElseGet(typed::problems);
    if (!problems.isEmpty()) {
      next.addFlashAttribute("problems", problems);
      next.addFlashAttribute("sentKey", sent.key());
      next.addFlashAttribute("edit", form);
    }
    return "redirect:/fleet/" + code;
  }

  @PostMapping("/fleet/{code}/retire")
  String retire(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String on,
      @RequestParam String why,
      RedirectAttributes next) {
    desk.admit();
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.day("on", on);
    Optional<String> reason = UnitForms.why(typed, why);
    List<Problem> problems =
        typed
            .all(() -> desk.retire(sent, code, version, day.orElseThrow(), reason.orElseThrow()))
            .map(outcome -> Reply.to(outcome).worded(UnitForms.REFUSED).problems())
            .orElseGet(typed::problems);
    if (!problems.isEmpty()) {
      next.addFlashAttribute("problems", problems);
      next.addFlashAttribute("sentKey", sent.key());
      next.addFlashAttribute("on", on);
      next.addFlashAttribute("why", why);
    }
    boolean stays = !problems.isEmpty() || day.filter(clock.today()::isBefore).isPresent();
    return stays ? "redirect:/fleet/" + code : "redirect:/fleet";
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", newUnit(typed));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "unit/new";
  }
}
