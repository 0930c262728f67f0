package dev.lonja.web.crossref;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.ConflictDesk;
import dev.lonja.desk.crossref.StatementDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which conflicts are settled by withdrawing one side. */
@Controller
class ConflictController {

  private static final String PATH = "/find/conflicts";

  private final ConflictDesk desk;
  private final StatementDesk statements;
  private final StoreClock clock;

  ConflictController(ConflictDesk desk, StatementDesk statements, StoreClock clock) {
    this.desk = desk;
    this.statements = statements;
    this.clock = clock;
  }

  @GetMapping(PATH)
  String conflicts(Model model) {
    return page(List.of(), model);
  }

  @PostMapping(PATH)
  String settle(Sent sent, @RequestParam long statement, @RequestParam String reason, Model model) {
    Typed typed = new Typed();
    return StatementForm.reason(typed, reason)
        .map(
            why ->
                Reply.to(statements.withdraw(sent, statement, why))
                    .onto(PATH)
                    .worded(StatementForm.REFUSALS)
                    .or(problems -> page(problems, model)))
        .orElseGet(() -> page(typed.problems(), model));
  }

  private String page(List<Problem> problems, Model model) {
    model.addAttribute("conflicts", ConflictRow.of(desk.all(), clock.today()));
    model.addAttribute("problems", problems);
    return "crossref/conflicts";
  }
}
