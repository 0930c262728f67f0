package dev.lonja.web.inspection;

import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.service.Task;
import java.util.Optional;

/** What an inspection found, and why it cannot have been so, in words. */
public final class FoundWording {

  private FoundWording() {}

  /** "sound: 35 mm to 45 mm". */
  static String sound(ValueLimits limits) {
    return "sound: " + limits.display();
  }

  /** Why something cannot have been found so. */
  public static String why(Task task, Found.Objection why) {
    String name = "\"" + task.name() + "\"";
    return switch (why) {
      case NO_VALUE -> name + " asks for a value: " + limits(task) + " is sound.";
      case VALUE_NOT_ASKED -> name + " asks for no value any more.";
      case OTHER_KIND -> name + " asks for another kind of value now.";
      case NOT_SOUND ->
          "Out of limits is not sound: " + limits(task) + ". Say what was done about it.";
      case NOT_LEFT -> "Only what is out of limits is left as it is.";
      case NO_VALUE_AFTER -> "What was adjusted has a value afterwards.";
      case NOTHING_DONE ->
          "A value afterwards needs something done: cleaned, adjusted or replaced.";
    };
  }

  private static String limits(Task task) {
    return task.limits().map(ValueLimits::display).orElse("");
  }

  /**
   * What goes out outside its limits is found wrong with the machine, whether somebody writes it or
   * not: "Chain play: 62 mm, sound is 35 mm to 45 mm". Empty for what does not.
   */
  public static Optional<String> outOfLimits(Task task, Found found) {
    return task.limits()
        .filter(found::staysOutside)
        .map(
            limits ->
                task.name()
                    + ": "
                    + found.after().or(found::value).map(InspectedValue::display).orElse("")
                    + ", sound is "
                    + limits.display());
  }
}
