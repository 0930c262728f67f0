package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Property;
import dev.lonja.store.Session;
import dev.lonja.store.crossref.StatedLine;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Gathers what the store knows of a part. */
public final class PartFactsLoader {

  private final Session session;
  private final LocalDate today;

  public PartFactsLoader(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  public PartFacts load(Part part) {
    Optional<Item> item =
        Optional.ofNullable(session.items().byParts(List.of(part.id())).get(part.id()));
    return new PartFacts(
        Plate.of(part, item),
        part.family().map(Family::words).orElse(""),
        properties(part),
        CandidatesLoader.contents(session.boxes().of(part.id())),
        plates(session.boxes().boxesWith(part.id())),
        CandidatesLoader.of(session, today, part.id(), Fitting.ANYWHERE).rows(),
        statements(part));
  }

  private static List<PartFacts.Fact> properties(Part part) {
    List<PartFacts.Fact> facts = new ArrayList<>();
    for (Property<?> property : part.family().map(Family::properties).orElse(List.of())) {
      String value = part.properties().display(property);
      facts.add(new PartFacts.Fact(property.words(), value.isEmpty() ? "not recorded" : value));
    }
    return facts;
  }

  private List<Plate> plates(List<PartId> partIds) {
    Map<PartId, Item> items = session.items().byParts(partIds);
    return session.parts().byIds(partIds).stream()
        .map(part -> Plate.of(part, Optional.ofNullable(items.get(part.id()))))
        .toList();
  }

  private List<PartFacts.StatementRow> statements(Part part) {
    List<StatedLine> lines = session.statements().history(part.id());
    Set<PartId> named = new HashSet<>();
    lines.forEach(l -> named.addAll(List.of(l.statement().subject(), l.statement().object())));
    Map<PartId, Plate> plates = new HashMap<>();
    plates(List.copyOf(named)).forEach(plate -> plates.put(plate.partId(), plate));
    return lines.stream().map(line -> row(line, plates)).toList();
  }

  private PartFacts.StatementRow row(StatedLine line, Map<PartId, Plate> plates) {
    return new PartFacts.StatementRow(
        line.statement().id(),
        plates.get(line.statement().subject()),
        line.statement().kind().words(),
        plates.get(line.statement().object()),
        CandidatesLoader.source(line.statement(), today),
        line.statement().note(),
        line.actor(),
        line.withdrawal()
            .map(
                w ->
                    "withdrawn by "
                        + w.actor()
                        + " on "
                        + Words.day(
                            LocalDate.ofInstant(w.recordedAt(), java.time.ZoneOffset.UTC), today)
                        + ": "
                        + w.reason())
            .orElse(""));
  }
}
