package dev.lonja.web.inspection;

import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.service.Task;

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

  /** What stands in the book of findings: "Chain play: 62 mm, sound is 35 mm to 45 mm". */
  public static String finding(Task task, Found found, ValueLimits limits) {
    return task.name()
        + ": "
        + found.after().or(found::value).orElseThrow().display()
        + ", sound is "
        + limits.display();
  }
}
