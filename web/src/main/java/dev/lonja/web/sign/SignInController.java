package dev.lonja.web.sign;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.person.FirstStartDesk;
import dev.lonja.desk.person.OwnDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The pages that lead in. */
@Controller
class SignInController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          FirstStartDesk.Refused.class,
          Cases.<FirstStartDesk.Refused, Problem>over(FirstStartDesk.Refused.class)
              .when(
                  FirstStartDesk.SetUpAlready.class,
                  already -> Problem.ofWhole("This store is already set up. Sign in instead."))
              .when(
                  FirstStartDesk.WrongCode.class,
                  wrong ->
                      new Problem("setUpCode", "That is not the code that the server printed."))
              .when(
                  FirstStartDesk.BadStoreName.class,
                  bad -> new Problem("storeName", "Give the store a name of 1 to 60 characters."))
              .when(
                  FirstStartDesk.BadName.class,
                  bad -> new Problem("name", "Give a name of 1 to 60 characters."))
              .when(
                  FirstStartDesk.UnknownCurrency.class,
                  none ->
                      new Problem(
                          "currency",
                          "\""
                              + none.code()
                              + "\" is no currency. Write its three letters, such as EUR."))
              .when(
                  FirstStartDesk.UnknownZone.class,
                  none ->
                      new Problem(
                          "timeZone",
                          "\""
                              + none.name()
                              + "\" is no time zone. Write one such as Europe/Lisbon."))
              .when(
                  FirstStartDesk.BadPassword.class,
                  bad ->
                      new Problem(
                          "password", PersonProblems.password(bad.objection(), bad.characters())))
              .when(
                  FirstStartDesk.MustWait.class,
                  wait -> Problem.ofWhole("Too many wrong codes. Wait a minute, then try again."))
              .all());

  private final FirstStartDesk desk;
  private final OwnDesk own;

  SignInController(FirstStartDesk desk, OwnDesk own) {
    this.desk = desk;
    this.own = own;
  }

  @GetMapping("/sign-in")
  String signIn() {
    return "sign/sign-in";
  }

  /** The door again, with what was sent when the session was over. */
  @RequestMapping("/sign-in/over")
  String over(HttpServletRequest request, Model model) {
    Optional<Kept> kept = Optional.ofNullable((Kept) request.getAttribute("kept"));
    if (kept.isEmpty()) {
      return "redirect:/sign-in";
    }
    model.addAttribute("kept", kept.get());
    model.addAttribute(
        "said", Optional.ofNullable((String) request.getAttribute("said")).orElse(""));
    return "sign/over";
  }

  /** What was sent when the session was over, to be looked at and sent again. */
  @GetMapping("/sign-in/again")
  String again(HttpSession session, Model model) {
    Optional<Kept> kept = Kept.takeFrom(session);
    if (kept.isEmpty()) {
      return "redirect:/";
    }
    kept.get().keepIn(session);
    model.addAttribute("kept", kept.get());
    return "sign/again";
  }

  @GetMapping("/new-password")
  String newPassword(@RequestParam(defaultValue = "") String name, Model model) {
    return newPassword(name, List.of(), model);
  }

  @PostMapping("/new-password")
  String setPassword(
      Sent sent,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String oneTimeCode,
      @RequestParam(defaultValue = "") String newPassword,
      Model model) {
    return Reply.to(own.setPassword(sent, name, oneTimeCode, newPassword))
        .onto("/sign-in?changed")
        .worded(PersonProblems.REFUSED)
        .or(problems -> newPassword(name, problems, model));
  }

  private static String newPassword(String name, List<Problem> problems, Model model) {
    model.addAttribute("name", name);
    model.addAttribute("problems", problems);
    return "sign/new-password";
  }

  @GetMapping("/first-start")
  String firstStart(Model model) {
    if (!desk.isNeeded()) {
      return "redirect:/sign-in";
    }
    FirstStartDesk.SoFar soFar = desk.soFar();
    return page(
        new FirstStartDesk.Beginning(
            "", soFar.storeName(), soFar.currency(), soFar.timeZone(), "", ""),
        List.of(),
        model);
  }

  @PostMapping("/first-start")
  String setUp(Sent sent, @ModelAttribute FirstStartDesk.Beginning form, Model model) {
    return Reply.to(desk.setUp(sent, form))
        .onto("/sign-in?ready")
        .worded(REFUSED)
        .or(problems -> page(form, problems, model));
  }

  private String page(FirstStartDesk.Beginning form, List<Problem> problems, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("people", desk.soFar().people());
    model.addAttribute("problems", problems);
    return "sign/first-start";
  }
}
