package dev.lonja.web.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.Role;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.PeopleDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.LiveSessions;
import dev.lonja.web.sign.PersonProblems;
import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The people of the store, under Setup. */
@Controller
class PeopleController {

  private static final String PATH = "/setup/people";
  private static final String ONE = PATH + "/{id}";

  private final PeopleDesk desk;
  private final LiveSessions sessions;
  private final PersonWording wording;

  PeopleController(PeopleDesk desk, LiveSessions sessions, StoreClock clock) {
    this.desk = desk;
    this.sessions = sessions;
    this.wording = new PersonWording(clock);
  }

  @GetMapping(PATH)
  String all(Model model) {
    return list(Map.of(), Set.of(), List.of(), model);
  }

  @PostMapping(PATH)
  String add(
      Sent sent,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") Set<String> roles,
      Model model) {
    desk.all();
    Typed typed = new Typed();
    Set<Role> chosen = roles(typed, roles);
    Map<String, String> kept = Map.of("name", name);
    return typed
        .all(() -> desk.add(sent, name, chosen))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(id -> PATH + "/" + id)
                    .worded(PersonProblems.REFUSED)
                    .or(problems -> list(kept, roles, problems, model)))
        .orElseGet(() -> list(kept, roles, typed.problems(), model));
  }

  /** Before the number of a place, in a form. */
  private static final String AT = "at-";

  private static Set<Role> roles(Typed typed, Set<String> words) {
    Set<Role> roles = EnumSet.noneOf(Role.class);
    words.stream()
        .flatMap(word -> typed.choice("roles", "roles of the list", word, Role.class).stream())
        .forEach(roles::add);
    return roles;
  }

  private String list(
      Map<String, String> typed, Set<String> roles, List<Problem> problems, Model model) {
    List<PersonView.Row> rows =
        desk.all().stream().map(person -> wording.row(person, PATH + "/" + person.id())).toList();
    model.addAttribute(
        "view",
        new PersonView.People(
            rows,
            PersonWording.choices(roles),
            desk.currency().getCurrencyCode(),
            desk.mostAlone().map(Money::exactText).orElse("")));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "person/people";
  }

  @PostMapping(PATH + "/alone")
  String setMostAlone(Sent sent, @RequestParam(defaultValue = "") String mostAlone, Model model) {
    desk.all();
    Typed typed = new Typed();
    int digits = Math.max(0, desk.currency().getDefaultFractionDigits());
    Optional<BigDecimal> most =
        mostAlone.isBlank()
            ? Optional.empty()
            : typed.decimalBetween(
                "mostAlone",
                "The value",
                mostAlone,
                BigDecimal.ZERO,
                new Money(Limits.VALUE_MINOR, desk.currency()).amount(),
                digits);
    Map<String, String> kept = Map.of("mostAlone", mostAlone);
    return typed
        .all(() -> desk.setMostAlone(sent, most))
        .map(
            outcome ->
                Reply.to(outcome).onto(PATH).or(problems -> list(kept, Set.of(), problems, model)))
        .orElseGet(() -> list(kept, Set.of(), typed.problems(), model));
  }

  @GetMapping(ONE)
  String one(@PathVariable PersonId id, Model model) {
    return page(id, Optional.empty(), Optional.empty(), List.of(), model);
  }

  @PostMapping(ONE + "/roles")
  String setRoles(
      @PathVariable PersonId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "") Set<String> roles,
      Model model) {
    desk.all();
    Typed typed = new Typed();
    Set<Role> chosen = roles(typed, roles);
    return typed
        .all(() -> desk.setRoles(sent, id, version, chosen))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(PATH + "/" + id)
                    .worded(PersonProblems.REFUSED)
                    .or(
                        problems ->
                            page(id, Optional.of(roles), Optional.empty(), problems, model)))
        .orElseGet(() -> page(id, Optional.of(roles), Optional.empty(), typed.problems(), model));
  }

  @PostMapping(ONE + "/places")
  String setPlaces(
      @PathVariable PersonId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.all();
    Typed typed = new Typed();
    Set<Place> places = new HashSet<>();
    for (String field : fields.keySet()) {
      if (field.startsWith(AT)) {
        typed.place("places", field.substring(AT.length())).ifPresent(places::add);
      }
    }
    return typed
        .all(() -> desk.setPlaces(sent, id, version, places))
        .map(outcome -> next(id, outcome, model))
        .orElseGet(() -> page(id, Optional.empty(), Optional.empty(), typed.problems(), model));
  }

  @PostMapping(ONE + "/active")
  String setActive(
      @PathVariable PersonId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam boolean active,
      Model model) {
    return next(id, desk.setActive(sent, id, version, active), model);
  }

  /** The code is on the answer itself, since it is kept nowhere. */
  @PostMapping(ONE + "/code")
  String giveCode(@PathVariable PersonId id, Sent sent, @RequestParam long version, Model model) {
    PeopleDesk.Given given = desk.giveCode(sent, id, version);
    List<Problem> problems = Reply.to(given.outcome()).worded(PersonProblems.REFUSED).problems();
    Optional<PersonView.Code> code =
        Optional.of(new PersonView.Code(given.code(), "/new-password", wording.at(given.until())))
            .filter(c -> problems.isEmpty());
    return page(id, Optional.empty(), code, problems, model);
  }

  @PostMapping(ONE + "/pin")
  String setPin(
      @PathVariable PersonId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String pin,
      Model model) {
    return next(id, desk.setPin(sent, id, version, pin), model);
  }

  @PostMapping(ONE + "/badge")
  String setBadge(
      @PathVariable PersonId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String badge,
      Model model) {
    return next(id, desk.setBadge(sent, id, version, badge), model);
  }

  @PostMapping(ONE + "/sessions")
  String endSessions(
      @PathVariable PersonId id, Sent sent, @RequestParam long version, Model model) {
    return next(id, desk.endSessions(sent, id, version), model);
  }

  private String next(PersonId id, Outcome outcome, Model model) {
    return Reply.to(outcome)
        .onto(PATH + "/" + id)
        .worded(PersonProblems.REFUSED)
        .or(problems -> page(id, Optional.empty(), Optional.empty(), problems, model));
  }

  private String page(
      PersonId id,
      Optional<Set<String>> roles,
      Optional<PersonView.Code> code,
      List<Problem> problems,
      Model model) {
    PeopleDesk.PersonFile file =
        desk.person(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute(
        "view",
        wording.one(
            file,
            PATH + "/" + id,
            roles.orElseGet(() -> PersonWording.words(file.person().roles())),
            code,
            sessions.of(id)));
    model.addAttribute("problems", problems);
    return "person/person";
  }
}
