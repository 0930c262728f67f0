package dev.lonja.web.tray;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.tray.FindingsDesk;
import dev.lonja.desk.tray.Pour;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The form of what came of a job: shown, and read. Empty fields say nothing. */
final class FindingsForm {

  private static final int LONGEST = Lengths.REASON;
  private static final String OUTCOME = "outcome-";
  private static final String POURED = "poured-";
  private static final String FITTED = "fitted-";
  private static final String WHY = "why-";

  private final FindingsDesk.ToNote toNote;

  FindingsForm(FindingsDesk.ToNote toNote) {
    this.toNote = toNote;
  }

  FindingsView view() {
    return new FindingsView(
        toNote.looks().stream()
            .map(
                look ->
                    new FindingsView.InspectionRow(
                        OUTCOME + look.recordId(),
                        look.task(),
                        look.outcome().map(FindingsForm::word).orElse("")))
            .toList(),
        toNote.pours().stream()
            .map(
                pour ->
                    new FindingsView.FillRow(
                        POURED + pour.compartmentId(),
                        pour.name(),
                        pour.book().display() + ", " + pour.condition().words(),
                        Optional.ofNullable(toNote.poured().get(pour.compartmentId()))
                            .map(Volume::exactText)
                            .orElse("")))
            .toList(),
        toNote.substituted().stream()
            .map(
                row ->
                    new FindingsView.SubstituteRow(
                        FITTED + row.line().id(),
                        WHY + row.line().id(),
                        row.line().place()
                            + ": "
                            + row.laid().number()
                            + " instead of "
                            + row.asked().number()))
            .toList());
  }

  private static String word(InspectionOutcome outcome) {
    return outcome.name().toLowerCase(Locale.ROOT);
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<FindingsDesk.Notes> read(Map<String, String> fields, Typed typed) {
    Map<Long, InspectionOutcome> outcomes = outcomes(fields, typed);
    Map<CompartmentId, Volume> litres = litres(fields, typed);
    Set<Long> fitted = new HashSet<>();
    Map<Long, String> wrong = new HashMap<>();
    for (FindingsDesk.Substituted row : toNote.substituted()) {
      long line = row.line().id();
      String answer = fields.getOrDefault(FITTED + line, "");
      String why = fields.getOrDefault(WHY + line, "");
      if (answer.equals("fitted")) {
        fitted.add(line);
      } else if (answer.equals("wrong")) {
        typed
            .text(WHY + line, "Why " + row.laid().number() + " did not fit", why, LONGEST)
            .ifPresent(reason -> wrong.put(line, reason));
      }
    }
    return typed.all(() -> new FindingsDesk.Notes(outcomes, litres, fitted, wrong));
  }

  private Map<CompartmentId, Volume> litres(Map<String, String> fields, Typed typed) {
    Map<CompartmentId, Volume> litres = new HashMap<>();
    for (Pour pour : toNote.pours()) {
      String field = POURED + pour.compartmentId();
      String text = fields.getOrDefault(field, "").strip();
      if (!text.isEmpty()) {
        typed
            .litres(field, "Litres poured into " + pour.name(), text, Limits.LITRES)
            .ifPresent(volume -> litres.put(pour.compartmentId(), volume));
      }
    }
    return litres;
  }

  private Map<Long, InspectionOutcome> outcomes(Map<String, String> fields, Typed typed) {
    Map<Long, InspectionOutcome> outcomes = new HashMap<>();
    for (FindingsDesk.Look look : toNote.looks()) {
      String field = OUTCOME + look.recordId();
      String text = fields.getOrDefault(field, "");
      Optional<InspectionOutcome> outcome =
          Arrays.stream(InspectionOutcome.values()).filter(o -> word(o).equals(text)).findFirst();
      if (outcome.isEmpty() && !text.isEmpty()) {
        typed.refuse(field, "\"" + text + "\" is no outcome; choose sound, cleaned or replaced.");
      }
      outcome.ifPresent(o -> outcomes.put(look.recordId(), o));
    }
    return outcomes;
  }
}
