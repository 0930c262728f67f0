package dev.lonja.web.work;

import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which a whole table of past work is taken in. */
@Controller
@RequestMapping("/fleet/work")
class WorkTableController {

  private final WorkDesk desk;

  WorkTableController(WorkDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String look(Model model) {
    desk.admit();
    return page("", List.of(), model);
  }

  @PostMapping
  String take(Sent sent, @RequestParam(defaultValue = "") String table, Model model) {
    desk.admit();
    PastedWork read = PastedWork.of(table);
    if (!read.problems().isEmpty()) {
      return page(table, read.problems(), model);
    }
    return Reply.to(desk.noteAll(sent, read.lines()))
        .onto("/fleet")
        .worded(read.refusals())
        .or(problems -> page(table, problems, model));
  }

  private static String page(String table, List<Problem> problems, Model model) {
    model.addAttribute("table", table);
    model.addAttribute("problems", problems);
    return "work/table";
  }
}
