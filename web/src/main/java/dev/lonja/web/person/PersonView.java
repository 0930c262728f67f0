package dev.lonja.web.person;

import java.util.List;
import java.util.Optional;

/** The pages about people, ready for their templates. */
final class PersonView {

  private PersonView() {}

  /** A role to choose. */
  record RoleChoice(String value, String words, String may, boolean chosen) {}

  /** One line of the list. */
  record Row(String path, String name, String roles, String state, String style, String has) {}

  /** All people, and the form for a new one. */
  record People(
      List<Row> rows, List<RoleChoice> roles, String currency, String mostAlone) {}

  /** A line of what was done about a person. */
  record Event(String day, String time, String what, String detail, String who) {}

  /** A session that is open. */
  record Session(
      String id, String device, String address, String since, String seen, boolean own) {}

  /** One person. */
  record One(
      String path,
      String name,
      long version,
      boolean active,
      List<String> states,
      List<RoleChoice> roles,
      boolean hasPin,
      boolean hasBadge,
      Optional<Code> code,
      List<Session> sessions,
      List<Event> events) {}

  /** A code that was just given; it is shown once. */
  record Code(String code, String path, String until) {}
}
