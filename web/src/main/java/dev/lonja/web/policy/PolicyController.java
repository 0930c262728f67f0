package dev.lonja.web.policy;

import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.desk.policy.PolicyDesk;
import dev.lonja.desk.policy.PolicyRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of the store's policies. */
@Controller
@RequestMapping("/setup")
class PolicyController {

  private static final String ALL = "/setup";

  private static final RefusalWording WORDING =
      RefusalWording.of(PolicyRefusal.class, PolicyController::words);

  private final PolicyDesk desk;

  PolicyController(PolicyDesk desk) {
    this.desk = desk;
  }

  private static Problem words(PolicyRefusal reason) {
    return reason instanceof PolicyRefusal.NotAsked
        ? new Problem("of", "There is nothing of that kind that this question is about any more.")
        : Problem.ofWhole("It has no policy of its own any more; somebody took it back.");
  }

  @GetMapping
  String all(Model model) {
    return overview(Map.of(), List.of(), model);
  }

  @PostMapping("/fills")
  String fills(
      Sent sent,
      @ModelAttribute PolicyView.Fills form,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> coolant = FillForm.coolant(form, typed);
    return FillForm.read(form, typed)
        .map(policy -> desk.pour(sent, policy, coolant.orElseThrow()))
        .map(
            outcome ->
                Reply.to(outcome).onto(ALL).or(problems -> overview(fields, problems, model)))
        .orElseGet(() -> overview(fields, typed.problems(), model));
  }

  private String overview(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", PolicyPage.overview(desk.overview()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "policy/policies";
  }

  /** One question, with what a choice would change where one is filled in. */
  @GetMapping("/policies/{address}")
  String one(@PathVariable String address, @RequestParam Map<String, String> fields, Model model) {
    Question question = question(address);
    if (!fields.containsKey("school")) {
      return page(question, fields, Optional.empty(), List.of(), model);
    }
    Typed typed = new Typed();
    Optional<PolicyDesk.Preview> preview =
        read(question, fields, typed).flatMap(made -> desk.preview(made.holder(), made.choice()));
    if (preview.isEmpty() && typed.problems().isEmpty()) {
      typed.refuse("of", "Choose one that this question is about.");
    }
    return page(question, fields, preview, typed.problems(), model);
  }

  @PostMapping("/policies/{address}")
  String choose(
      @PathVariable String address,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Question question = question(address);
    Typed typed = new Typed();
    return read(question, fields, typed)
        .map(
            made ->
                answer(question, desk.choose(sent, made.holder(), made.choice()), fields, model))
        .orElseGet(() -> page(question, fields, Optional.empty(), typed.problems(), model));
  }

  @PostMapping("/policies/{address}/back")
  String withdraw(
      @PathVariable String address,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Question question = question(address);
    Typed typed = new Typed();
    return holder(fields, typed)
        .map(holder -> answer(question, desk.withdraw(sent, holder, question), fields, model))
        .orElseGet(() -> page(question, fields, Optional.empty(), typed.problems(), model));
  }

  private String answer(
      Question question, Outcome outcome, Map<String, String> fields, Model model) {
    return Reply.to(outcome)
        .onto(ALL + "/policies/" + PolicyPage.address(question))
        .worded(WORDING)
        .or(problems -> page(question, fields, Optional.empty(), problems, model));
  }

  private String page(
      Question question,
      Map<String, String> fields,
      Optional<PolicyDesk.Preview> preview,
      List<Problem> problems,
      Model model) {
    model.addAttribute("view", PolicyPage.one(desk.question(question), fields, preview));
    model.addAttribute("problems", problems);
    return "policy/question";
  }

  private static Question question(String address) {
    return PolicyPage.question(address)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  /** A choice and who it is for, as filled in. */
  private record Made(Holder holder, Choice choice) {}

  private static Optional<Made> read(Question question, Map<String, String> fields, Typed typed) {
    Optional<Holder> holder = holder(fields, typed);
    Optional<Choice> choice = choice(question, fields, typed);
    return typed.all(() -> new Made(holder.orElseThrow(), choice.orElseThrow()));
  }

  private static Optional<Holder> holder(Map<String, String> fields, Typed typed) {
    Optional<Holder> holder = HolderText.read(fields.getOrDefault("of", ""));
    if (holder.isEmpty()) {
      typed.refuse("of", "Choose for whom it holds.");
    }
    return holder;
  }

  private static Optional<Choice> choice(
      Question question, Map<String, String> fields, Typed typed) {
    Optional<School> school =
        question.schools().stream()
            .filter(s -> s.name().equals(fields.getOrDefault("school", "")))
            .findFirst();
    if (school.isEmpty()) {
      typed.refuse("school", "Choose one of the ways that are offered.");
      return Optional.empty();
    }
    return school.get().number().isEmpty()
        ? school.map(Choice::of)
        : number(school.get(), fields, typed).map(number -> Choice.of(school.get(), number));
  }

  private static Optional<BigDecimal> number(
      School school, Map<String, String> fields, Typed typed) {
    School.Number allowed = school.number().orElseThrow();
    String field = PolicyPage.numberField(school);
    return typed.decimalBetween(
        field,
        "The " + allowed.words(),
        fields.getOrDefault(field, ""),
        allowed.least(),
        allowed.most(),
        allowed.decimals());
  }
}
