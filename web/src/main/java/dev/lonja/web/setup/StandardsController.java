package dev.lonja.web.setup;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.StandardsDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The public reference data. */
@Controller
@RequestMapping("/setup/standards")
class StandardsController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          StandardsDesk.Refused.class,
          Cases.<StandardsDesk.Refused, Problem>over(StandardsDesk.Refused.class)
              .when(
                  StandardsDesk.NotEdited.class,
                  not -> Problem.ofWhole("These data are not edited."))
              .when(
                  StandardsDesk.BadCell.class,
                  bad ->
                      new Problem(
                          bad.column().name(),
                          bad.column().title()
                              + " is \""
                              + bad.cell()
                              + "\"; allowed is "
                              + bad.column().kind().allowed()
                              + (bad.column().mayBeEmpty() ? ", or nothing." : ".")))
              .when(
                  StandardsDesk.NoSuchRow.class,
                  none -> Problem.ofWhole("That row is not there any more."))
              .when(
                  StandardsDesk.UnknownClass.class,
                  none ->
                      new Problem(
                          none.column(),
                          "\""
                              + none.name()
                              + "\" is not a class of the list; write it with its organisation,"
                              + " such as API CK-4. Covering names known classes only."))
              .when(
                  StandardsDesk.BadFreezing.class,
                  bad ->
                      new Problem(
                          "freezes_at_c",
                          "The freeze points of "
                              + bad.glycol()
                              + " must fall as its share rises from 0 to 1; the glycols are"
                              + " ethylene and propylene."))
              .when(
                  StandardsDesk.Circle.class,
                  circle ->
                      new Problem(
                          "newer",
                          "That makes a circle: "
                              + circle.classes().stream()
                                  .map(ServiceClass::text)
                                  .collect(Collectors.joining(", "))
                              + " would cover each other. Covering runs from newer to older."))
              .all());

  private final StandardsDesk desk;
  private final StoreClock clock;

  StandardsController(StandardsDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String files(Model model) {
    model.addAttribute("files", desk.all().stream().map(StandardView.FileRow::of).toList());
    return "setup/standards";
  }

  @GetMapping("/{name}")
  String file(@PathVariable String name, Model model) {
    return page(name, Map.of(), List.of(), model);
  }

  @PostMapping("/{name}")
  String put(
      @PathVariable String name, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return next(desk.put(sent, name, fields), name, fields, model);
  }

  @PostMapping("/{name}/remove")
  String remove(@PathVariable String name, Sent sent, @RequestParam String key, Model model) {
    return next(desk.remove(sent, name, key), name, Map.of(), model);
  }

  private String next(Outcome outcome, String name, Map<String, String> fields, Model model) {
    return Reply.to(outcome)
        .onto("/setup/standards/" + name)
        .worded(REFUSED)
        .or(problems -> page(name, fields, problems, model));
  }

  private String page(String name, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.file(name)
            .map(edited -> StandardView.of(edited, clock))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "setup/standard";
  }
}
