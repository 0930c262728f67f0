package dev.lonja.web.crossref;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Property;
import dev.lonja.desk.crossref.PartFile;
import dev.lonja.store.crossref.StatedLine;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;

/** Says in words what the store knows of a part. */
public final class PartFactsWording {

  /** What stands where nobody has said anything of a property. */
  public static final String NOT_RECORDED = "not recorded";

  private PartFactsWording() {}

  public static PartFacts of(PartFile file, LocalDate today) {
    Part part = file.part();
    return new PartFacts(
        plate(file, part),
        part.family().map(Family::words).orElse(""),
        properties(part),
        CandidateWording.contents(file.box()),
        file.boxedIn().stream().map(box -> plate(file, box)).toList(),
        new CandidateWording(file.alternatives(), today).rows(),
        file.history().stream().map(line -> row(file, line, today)).toList());
  }

  private static Plate plate(PartFile file, Part part) {
    return Plate.of(part, file.shelf().item(part.id()));
  }

  /** The properties of its kind, those that nobody recorded too. */
  public static List<PartFacts.Fact> properties(Part part) {
    List<PartFacts.Fact> facts = new ArrayList<>();
    for (Property<?> property : part.family().map(Family::properties).orElse(List.of())) {
      String value = part.properties().display(property);
      facts.add(new PartFacts.Fact(property.words(), value.isEmpty() ? NOT_RECORDED : value));
    }
    return facts;
  }

  private static PartFacts.StatementRow row(PartFile file, StatedLine line, LocalDate today) {
    return new PartFacts.StatementRow(
        line.statement().id(),
        plate(file, file.named().get(line.statement().subject())),
        line.statement().kind().words(),
        plate(file, file.named().get(line.statement().object())),
        CandidateWording.source(line.statement(), today),
        line.statement().note(),
        line.actor(),
        line.withdrawal()
            .map(
                w ->
                    "withdrawn by "
                        + w.actor()
                        + " on "
                        + Words.day(LocalDate.ofInstant(w.recordedAt(), ZoneOffset.UTC), today)
                        + ": "
                        + w.reason())
            .orElse(""));
  }
}
