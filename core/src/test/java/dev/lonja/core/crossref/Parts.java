package dev.lonja.core.crossref;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Properties;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A few parts and what is said of them, kept in memory; parts are named by their numbers. */
public final class Parts implements StatementSource {

  private final Map<PartId, Part> parts = new LinkedHashMap<>();
  private final List<Statement> statements = new ArrayList<>();

  /** The part with this number, added when it is first asked for. */
  public PartId id(String number) {
    return parts.values().stream()
        .filter(part -> part.number().equals(number))
        .findFirst()
        .orElseGet(() -> add("Pellam", number, Optional.empty(), Properties.NONE))
        .id();
  }

  public Part part(PartId id) {
    return parts.get(id);
  }

  Part add(String make, String number, Optional<Family> family, Properties properties) {
    Part part = new Part(new PartId(parts.size() + 1L), make, number, family, properties);
    parts.put(part.id(), part);
    return part;
  }

  public Parts say(String subject, StatementKind kind, String object, String confidence) {
    return say(subject, kind, object, confidence, Source.SUPPLIER, "said so");
  }

  Parts say(
      String subject,
      StatementKind kind,
      String object,
      String confidence,
      Source source,
      String note) {
    statements.add(
        new Statement(
            statements.size() + 1,
            id(subject),
            kind,
            id(object),
            source,
            LocalDate.of(2027, 3, 1),
            Confidence.of(confidence),
            note));
    return this;
  }

  /** What was said, in its order. */
  List<Statement> all() {
    return List.copyOf(statements);
  }

  Neighbourhood around(String number) {
    return Neighbourhood.around(id(number), this);
  }

  /** "B 0.81 over A B C", or "none". */
  String best(String from, String to) {
    Path path = PathSearch.best(around(from)).get(id(to));
    return path == null
        ? "none"
        : path.confidence().value().toPlainString()
            + " over "
            + String.join(
                " ", path.parts().stream().map(part -> parts.get(part).number()).toList());
  }

  Candidates candidates(String asked) {
    return Candidates.of(
        around(asked), Fitting.ANYWHERE, new RubberTable(Map.of()), parts -> Map.of());
  }

  /** The candidate with this number. */
  Optional<Candidate> candidate(String asked, String number) {
    return candidates(asked).others().stream()
        .filter(candidate -> candidate.part().number().equals(number))
        .findFirst();
  }

  @Override
  public List<Statement> standing(Collection<PartId> wanted) {
    return statements.stream()
        .filter(s -> wanted.contains(s.subject()) || wanted.contains(s.object()))
        .toList();
  }

  @Override
  public List<Part> parts(Collection<PartId> ids) {
    return ids.stream().map(parts::get).toList();
  }
}
