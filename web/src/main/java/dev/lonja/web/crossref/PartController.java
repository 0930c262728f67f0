package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.PartDesk;
import dev.lonja.desk.crossref.PartFile;
import dev.lonja.desk.crossref.StatementDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The page of a part, stocked or not: what else fits, and who says so. */
@Controller
class PartController {

  private final PartDesk desk;
  private final StatementDesk statements;
  private final StoreClock clock;

  PartController(PartDesk desk, StatementDesk statements, StoreClock clock) {
    this.desk = desk;
    this.statements = statements;
    this.clock = clock;
  }

  @GetMapping("/parts/{id}")
  String part(@PathVariable PartId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping("/parts/{id}/statements")
  String make(
      @PathVariable PartId id,
      Sent sent,
      @ModelAttribute StatementForm form,
      @RequestParam Map<String, String> fields,
      Model model) {
    statements.admit();
    Typed typed = new Typed();
    Optional<StatementDesk.Other> other = form.other(typed);
    Optional<StatementDesk.Claim> claim = form.claim(typed);
    return typed
        .all(() -> statements.make(sent, id, other.orElseThrow(), claim.orElseThrow()))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(path(id))
                    .worded(StatementForm.REFUSALS)
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  @PostMapping("/parts/{id}/statements/{statementId}/withdraw")
  String withdraw(
      @PathVariable PartId id,
      @PathVariable long statementId,
      Sent sent,
      @RequestParam String reason,
      Model model) {
    statements.admit();
    Typed typed = new Typed();
    return StatementForm.reason(typed, reason)
        .map(
            why ->
                Reply.to(statements.withdraw(sent, statementId, why))
                    .onto(path(id))
                    .worded(StatementForm.REFUSALS)
                    .or(problems -> page(id, Map.of(), problems, model)))
        .orElseGet(() -> page(id, Map.of(), typed.problems(), model));
  }

  private static String path(PartId id) {
    return "/parts/" + id + "#said";
  }

  private String page(PartId id, Map<String, String> typed, List<Problem> problems, Model model) {
    PartFile file =
        desk.file(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("facts", PartFactsWording.of(file, clock.today()));
    model.addAttribute("kinds", StatementKind.values());
    model.addAttribute("sources", Source.values());
    model.addAttribute("today", clock.today().toString());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "crossref/part";
  }
}
