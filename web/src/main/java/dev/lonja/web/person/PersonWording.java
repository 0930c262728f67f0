package dev.lonja.web.person;

import dev.lonja.core.person.Role;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.PeopleDesk;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.person.Person;
import dev.lonja.web.frame.DeedWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.sign.LiveSessions;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Says in words who somebody is and what they may do. */
final class PersonWording {

  private final StoreClock clock;

  PersonWording(StoreClock clock) {
    this.clock = clock;
  }

  static String word(Role role) {
    return role.name().toLowerCase(Locale.ROOT);
  }

  private static String may(Role role) {
    return switch (role) {
      case STOREKEEPER -> "lays, hands over, books and edits what the store keeps";
      case BUYER -> "sees stock, plans and prices";
      case WORKSHOP -> "sees machines and its own trays, reads meters; no prices";
      case AUDITOR -> "reads everything and who did what, changes nothing";
      case ADMINISTRATOR ->
          "says who may do what, keeps the backups; may do what a storekeeper may";
    };
  }

  static List<PersonView.RoleChoice> choices(Set<String> chosen) {
    return Arrays.stream(Role.values())
        .map(
            role ->
                new PersonView.RoleChoice(
                    word(role), word(role), may(role), chosen.contains(word(role))))
        .toList();
  }

  static Set<String> words(Set<Role> roles) {
    return roles.stream().map(PersonWording::word).collect(Collectors.toSet());
  }

  PersonView.Row row(Person person, String path) {
    List<String> has = new ArrayList<>();
    person.secrets().pin().ifPresent(pin -> has.add("PIN"));
    person.secrets().badge().ifPresent(badge -> has.add("badge"));
    return new PersonView.Row(
        path,
        person.name().text(),
        person.roles().stream().sorted().map(PersonWording::word).collect(Collectors.joining(", ")),
        state(person),
        person.canSignIn() ? "ready" : person.active() ? "note" : "open",
        String.join(", ", has));
  }

  private static String state(Person person) {
    if (!person.active()) {
      return "switched off";
    }
    return person.secrets().password().isPresent() ? "can sign in" : "no password yet";
  }

  PersonView.One one(
      PeopleDesk.PersonFile file,
      String path,
      Set<String> chosen,
      Optional<PersonView.Code> code,
      List<LiveSessions.Live> sessions) {
    Person person = file.person();
    List<String> states = new ArrayList<>(List.of(state(person)));
    person
        .secrets()
        .code()
        .filter(open -> clock.now().isBefore(open.until()))
        .ifPresent(
            open -> states.add("a code for a new password is out, until " + at(open.until())));
    return new PersonView.One(
        path,
        person.name().text(),
        person.version(),
        person.active(),
        states,
        choices(chosen),
        new PersonView.AtCounter(
            person.secrets().pin().isPresent(), person.secrets().badge().isPresent(), places(file)),
        code,
        sessions.stream().map(live -> session(live, "")).toList(),
        file.events().stream().map(this::event).toList());
  }

  private static List<PersonView.PlaceChoice> places(PeopleDesk.PersonFile file) {
    return file.names().size() == 1
        ? List.of()
        : file.names().entrySet().stream()
            .map(
                entry ->
                    new PersonView.PlaceChoice(
                        "at-" + entry.getKey(),
                        entry.getValue(),
                        file.places().contains(entry.getKey())))
            .toList();
  }

  PersonView.Session session(LiveSessions.Live live, String own) {
    return new PersonView.Session(
        live.handle(),
        device(live.device()),
        live.address(),
        at(live.began()),
        at(live.seen()),
        live.id().equals(own));
  }

  /** "Firefox on Linux", as far as the browser says so. */
  private static String device(String agent) {
    String browser = first(agent, "Edg", "OPR", "Firefox", "Chrome", "Safari").orElse("a browser");
    String system =
        first(agent, "Android", "iPhone", "iPad", "Windows", "Mac OS", "Linux").orElse("a device");
    return browser + " on " + system;
  }

  private static Optional<String> first(String agent, String... names) {
    return Arrays.stream(names).filter(agent::contains).findFirst();
  }

  private PersonView.Event event(AuditLine line) {
    return new PersonView.Event(
        Words.day(clock.dayOf(line.at()), clock.today()),
        clock.timeOf(line.at()),
        DeedWording.of(line.deed()),
        DeedWording.facts(line),
        line.actor());
  }

  /** "15 Mar, 08:30". */
  String at(Instant instant) {
    return Words.day(clock.dayOf(instant), clock.today()) + ", " + clock.timeOf(instant);
  }
}
