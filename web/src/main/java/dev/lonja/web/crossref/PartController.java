package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
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

  PartController(PartDesk desk, StatementDesk statements) {
    this.desk = desk;
    this.statements = statements;
  }

  @GetMapping("/parts/{id}")
  String part(@PathVariable PartId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping("/parts/{id}/statements")
  String make(
      @PathVariable PartId id,
      Sent sent,
      @ModelAttribute StatementDesk.Form form,
      @RequestParam Map<String, String> typed,
      Model model) {
    return statements
        .make(sent, id, path(id), form)
        .next(problems -> page(id, typed, problems, model));
  }

  @PostMapping("/parts/{id}/statements/{statementId}/withdraw")
  String withdraw(
      @PathVariable PartId id,
      @PathVariable long statementId,
      Sent sent,
      @RequestParam String reason,
      Model model) {
    return statements
        .withdraw(sent, statementId, path(id), reason)
        .next(problems -> page(id, Map.of(), problems, model));
  }

  private static String path(PartId id) {
    return "/parts/" + id + "#said";
  }

  private String page(PartId id, Map<String, String> typed, List<Problem> problems, Model model) {
    PartFacts facts =
        desk.facts(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("facts", facts);
    model.addAttribute("kinds", StatementKind.values());
    model.addAttribute("sources", Source.values());
    model.addAttribute("today", desk.today());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "part";
  }
}
