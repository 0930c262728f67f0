package dev.lonja.core.policy;

import dev.lonja.core.fleet.Position;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** A question on which practitioners differ. */
public enum Question {
  DRAIN_SEAL("Drain seal", Position.Kind.DRAIN_SEAL, Position.Kind.DRAIN_PLUG),
  SERVICE_INTERVAL("Service interval", Reach.UNIT),
  CALENDAR_LIMIT("Calendar limit", Reach.UNIT),
  AIR_FILTER("Air filter and pre-cleaner", Position.Kind.AIR_FILTER),
  FIRST_POUR("First pour", Reach.COMPARTMENT),
  PRE_FILL("Filter pre-fill", Position.Kind.OIL_FILTER, Position.Kind.HYDRAULIC_FILTER),
  TIGHTENING(
      "Filter tightening",
      Position.Kind.OIL_FILTER,
      Position.Kind.FUEL_FILTER,
      Position.Kind.HYDRAULIC_FILTER),
  PLUGS_AND_FUEL_FILTERS(
      "Spark plugs and fuel filters", Position.Kind.SPARK_PLUG, Position.Kind.FUEL_FILTER),
  ONE_OIL("One oil or several", Reach.COMPARTMENT),
  FLUSH("Flush before the drain", Reach.COMPARTMENT),
  INSURANCE("Wear parts that may break", Position.Kind.INSURANCE),
  KIT_OR_LOOSE("Kit or loose", Reach.UNIT),
  FILTER_MAKE(
      "Filter make",
      Position.Kind.OIL_FILTER,
      Position.Kind.FUEL_FILTER,
      Position.Kind.AIR_FILTER,
      Position.Kind.CABIN_FILTER,
      Position.Kind.HYDRAULIC_FILTER);

  /** The narrowest that may have an answer of its own; whatever is wider may too. */
  public enum Reach {
    UNIT,
    COMPARTMENT,
    POSITION
  }

  private final String words;
  private final Reach reach;
  private final Set<Position.Kind> kinds;

  Question(String words, Reach reach) {
    this.words = words;
    this.reach = reach;
    this.kinds = Set.of();
  }

  /** One that positions may answer for themselves. */
  Question(String words, Position.Kind... kinds) {
    this.words = words;
    this.reach = Reach.POSITION;
    this.kinds = Set.of(kinds);
  }

  public String words() {
    return words;
  }

  /** True if its schools differ in what is taken; the others only in how it is handled. */
  public boolean changesWhatIsTaken() {
    return this != FIRST_POUR && this != PRE_FILL && this != TIGHTENING;
  }

  /** Its schools, the usual one first. */
  public List<School> schools() {
    return Arrays.stream(School.values()).filter(school -> school.question() == this).toList();
  }

  /** The school of a store that has not chosen. */
  public School usual() {
    return schools().get(0);
  }

  /** The kinds of positions that it is about; none if it is about none. */
  public Set<Position.Kind> kinds() {
    return kinds;
  }

  /** True if such a holder may have an answer of its own. */
  public boolean isAskedOf(Holder.Level level) {
    return switch (level) {
      case STORE, UNIT_CLASS, UNIT -> true;
      case COMPARTMENT -> reach.compareTo(Reach.COMPARTMENT) >= 0;
      case POSITION -> reach == Reach.POSITION;
    };
  }
}
