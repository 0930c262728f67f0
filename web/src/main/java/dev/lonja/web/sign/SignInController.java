package dev.lonja.web.sign;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.person.FirstStartDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

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
                  wrong -> new Problem("code", "That is not the code that the server printed."))
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
                          "password",
                          "The password has "
                              + bad.characters()
                              + " characters; allowed is "
                              + FirstStartDesk.LEAST_PASSWORD
                              + " or more, up to "
                              + FirstStartDesk.MOST_PASSWORD_BYTES
                              + " bytes."))
              .all());

  private final FirstStartDesk desk;

  SignInController(FirstStartDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/sign-in")
  String signIn() {
    return "sign/sign-in";
  }

  @GetMapping("/first-start")
  String firstStart(Model model) {
    if (!desk.isNeeded()) {
      return "redirect:/sign-in";
    }
    return page(new FirstStartDesk.Beginning("", "", "EUR", "UTC", "", ""), List.of(), model);
  }

  @PostMapping("/first-start")
  String setUp(@ModelAttribute FirstStartDesk.Beginning form, Model model) {
    return Reply.to(desk.setUp(form))
        .onto("/sign-in?ready")
        .worded(REFUSED)
        .or(problems -> page(form, problems, model));
  }

  private static String page(FirstStartDesk.Beginning form, List<Problem> problems, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    return "sign/first-start";
  }
}
