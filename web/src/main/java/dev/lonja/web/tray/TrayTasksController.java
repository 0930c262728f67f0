package dev.lonja.web.tray;

import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayTasksDesk;
import dev.lonja.web.request.Reply;
import jakarta.servlet.http.HttpSession;
import java.util.Map;
import java.util.Set;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Splits an open tray, and extends it. */
@Controller
class TrayTasksController {

  private final TrayTasksDesk desk;
  private final TrayReply replies;

  TrayTasksController(TrayTasksDesk desk, TrayReply replies) {
    this.desk = desk;
    this.replies = replies;
  }

  @PostMapping("/trays/{id}/split")
  String split(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam(name = "task", defaultValue = "") Set<TaskId> tasks,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(
        desk.split(sent, id, tasks), new TrayReply.Page(id, person, session, Map.of()), model);
  }

  @PostMapping("/trays/{id}/extend")
  String extend(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam(name = "task", defaultValue = "") Set<TaskId> tasks,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(
        desk.extend(sent, id, tasks), new TrayReply.Page(id, person, session, Map.of()), model);
  }

  private String next(Outcome outcome, TrayReply.Page page, Model model) {
    return Reply.to(outcome)
        .onto(made -> "/trays/" + made)
        .worded(TrayRefusals.WORDS)
        .or(problems -> replies.page(page, problems, model));
  }
}
