package dev.lonja.web.person;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.OwnDesk;
import dev.lonja.desk.person.SignedIn;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.sign.LiveSessions;
import dev.lonja.web.sign.PersonProblems;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What each person does about themselves. */
@Controller
class OwnController {

  private static final String PATH = "/me";

  private final OwnDesk desk;
  private final LiveSessions sessions;
  private final PersonWording wording;

  OwnController(OwnDesk desk, LiveSessions sessions, StoreClock clock) {
    this.desk = desk;
    this.sessions = sessions;
    this.wording = new PersonWording(clock);
  }

  @GetMapping(PATH)
  String me(@AuthenticationPrincipal SignedIn person, HttpSession session, Model model) {
    return page(person, session, List.of(), model);
  }

  @PostMapping(PATH + "/password")
  String changePassword(
      Sent sent,
      @RequestParam(defaultValue = "") String password,
      @RequestParam(defaultValue = "") String newPassword,
      @AuthenticationPrincipal SignedIn person,
      HttpSession session,
      Model model) {
    return Reply.to(desk.changePassword(sent, password, newPassword))
        .onto("/sign-in?changed")
        .worded(PersonProblems.REFUSED)
        .or(problems -> page(person, session, problems, model));
  }

  /** Ends one session of one's own; one that is not one's own stays. */
  @PostMapping(PATH + "/sessions/end")
  String endSession(
      @RequestParam(defaultValue = "") String session, @AuthenticationPrincipal SignedIn person) {
    sessions.of(person.id()).stream()
        .filter(live -> live.handle().equals(session))
        .forEach(live -> sessions.end(live.id()));
    return "redirect:" + PATH;
  }

  /** Ends all sessions of one's own, this one too. */
  @PostMapping(PATH + "/sessions")
  String endSessions(
      Sent sent, @AuthenticationPrincipal SignedIn person, HttpSession session, Model model) {
    return Reply.to(desk.endSessions(sent))
        .onto("/sign-in?left")
        .worded(PersonProblems.REFUSED)
        .or(problems -> page(person, session, problems, model));
  }

  private String page(SignedIn person, HttpSession session, List<Problem> problems, Model model) {
    model.addAttribute(
        "sessions",
        sessions.of(person.id()).stream()
            .map(live -> wording.session(live, session.getId()))
            .toList());
    model.addAttribute(
        "roles",
        String.join(", ", person.roles().stream().sorted().map(PersonWording::word).toList()));
    model.addAttribute("problems", problems);
    return "person/own";
  }
}
