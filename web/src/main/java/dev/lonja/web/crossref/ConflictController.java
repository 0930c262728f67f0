package dev.lonja.web.crossref;

import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
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

  ConflictController(ConflictDesk desk, StatementDesk statements) {
    this.desk = desk;
    this.statements = statements;
  }

  @GetMapping(PATH)
  String conflicts(Model model) {
    return page(List.of(), model);
  }

  @PostMapping(PATH)
  String settle(Sent sent, @RequestParam long statement, @RequestParam String reason, Model model) {
    return statements
        .withdraw(sent, statement, PATH, reason)
        .next(problems -> page(problems, model));
  }

  private String page(List<Problem> problems, Model model) {
    model.addAttribute("conflicts", desk.all());
    model.addAttribute("problems", problems);
    return "conflicts";
  }
}
