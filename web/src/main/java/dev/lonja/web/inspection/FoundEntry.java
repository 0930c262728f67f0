package dev.lonja.web.inspection;

import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The fields in which people say what an inspection found: shown, and read. A value within its
 * limits says by itself that all is sound.
 */
public final class FoundEntry {

  private static final String VALUE = "value-";
  private static final String AFTER = "after-";

  private final String outcomeField;
  private final Task task;

  /**
   * @param outcomeField where it is chosen what came of it
   */
  public FoundEntry(String outcomeField, Task task) {
    this.outcomeField = outcomeField;
    this.task = task;
  }

  /**
   * What is asked for beside the choice.
   *
   * @param label "35 mm to 45 mm"
   */
  public record ValueFields(String field, String afterField, String label) {}

  /** A word that may be chosen, and how it reads. */
  public record Choice(String value, String words) {}

  /** Where the value of a task is typed. */
  public static String valueField(TaskId task) {
    return VALUE + task;
  }

  /** The fields for its value, if it asks for one: none or one. */
  public List<ValueFields> values() {
    return task
        .limits()
        .map(
            limits ->
                new ValueFields(VALUE + task.id(), AFTER + task.id(), FoundWording.sound(limits)))
        .stream()
        .toList();
  }

  /** What may have come of it. */
  public List<Choice> choices() {
    return Arrays.stream(InspectionOutcome.values())
        .filter(outcome -> outcome != InspectionOutcome.LEFT || task.limits().isPresent())
        .map(outcome -> new Choice(word(outcome), outcome.words()))
        .toList();
  }

  private static String word(InspectionOutcome outcome) {
    return outcome.name().toLowerCase(Locale.ROOT);
  }

  /** True if a value was typed. */
  public boolean hasValue(Map<String, String> fields) {
    return !typed(fields, VALUE).isEmpty() || !typed(fields, AFTER).isEmpty();
  }

  private String typed(Map<String, String> fields, String field) {
    return fields.getOrDefault(field + task.id(), "").strip();
  }

  /** Empty if nothing is said, or if it cannot be read, with the problems noted. */
  public Optional<Found> read(Map<String, String> fields, Typed typed) {
    Optional<InspectedValue> value = value(fields, VALUE, typed);
    Optional<InspectedValue> after = value(fields, AFTER, typed);
    String said = fields.getOrDefault(outcomeField, "");
    if (said.isEmpty() && value.isPresent()) {
      return ofValue(value.get(), after, typed);
    }
    if (said.isEmpty() && after.isPresent()) {
      typed.refuse(
          VALUE + task.id(),
          "It was left at "
              + after.get().display()
              + "; say what it was before, or what was done about it.");
      return Optional.empty();
    }
    return typed
        .choiceOrNone(outcomeField, said, outcomes())
        .map(outcome -> new Found(outcome, value, after));
  }

  private Optional<Found> ofValue(
      InspectedValue value, Optional<InspectedValue> after, Typed typed) {
    ValueLimits limits = task.limits().orElseThrow();
    if (limits.hold(value)) {
      return Optional.of(new Found(InspectionOutcome.SOUND, Optional.of(value), after));
    }
    typed.refuse(
        outcomeField,
        value.display()
            + " is out of limits ("
            + limits.display()
            + "). Say what was done about it.");
    return Optional.empty();
  }

  private static Map<String, InspectionOutcome> outcomes() {
    Map<String, InspectionOutcome> byWord = new LinkedHashMap<>();
    for (InspectionOutcome outcome : InspectionOutcome.values()) {
      byWord.put(word(outcome), outcome);
    }
    return byWord;
  }

  private Optional<InspectedValue> value(Map<String, String> fields, String field, Typed typed) {
    String text = typed(fields, field);
    if (text.isEmpty() || task.limits().isEmpty()) {
      return Optional.empty();
    }
    var kind = task.limits().get().kind();
    Optional<InspectedValue> value = kind.read(text);
    if (value.isEmpty()) {
      typed.refuse(
          field + task.id(),
          "\"" + text + "\" is no " + kind.words() + "; write a number: " + kind.units() + ".");
    }
    return value;
  }
}
