package dev.lonja.web.person;

import java.util.List;
import java.util.Optional;

/** The pages about people, ready for their templates. */
public final class PersonView {

  private PersonView() {}

  /** A role to choose. */
  public record RoleChoice(String value, String words, String may, boolean chosen) {}

  /** One line of the list. */
  public record Row(
      String path, String name, String roles, String state, String style, String has) {}

  /** All people, and the form for a new one. */
  public record People(List<Row> rows, List<RoleChoice> roles, String currency, String mostAlone) {}

  /** A line of what was done about a person. */
  public record Event(String day, String time, String what, String detail, String who) {}

  /** A session that is open. */
  public record Session(
      String id, String device, String address, String since, String seen, boolean own) {}

  /** One person. */
  public record One(
      String path,
      String name,
      long version,
      boolean active,
      List<String> states,
      List<RoleChoice> roles,
      AtCounter atCounter,
      Optional<Code> code,
      List<Session> sessions,
      List<Event> events) {}

  /**
   * What they are known by at the counter.
   *
   * @param places where they may work; none if there is but one
   */
  public record AtCounter(boolean pin, boolean badge, List<PlaceChoice> places) {}

  /** A place where somebody may work, with its field in the form. */
  public record PlaceChoice(String field, String name, boolean chosen) {}

  /** A code that was just given; it is shown once. */
  public record Code(String code, String path, String until) {}
}
