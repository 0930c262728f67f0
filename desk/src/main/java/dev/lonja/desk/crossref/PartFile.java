package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.store.Session;
import dev.lonja.store.crossref.StatedLine;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the store knows of a part.
 *
 * @param box what comes in its box
 * @param boxedIn parts in whose boxes it comes
 * @param history everything ever said of it, the latest first
 * @param named every part that the history names
 * @param shelf what is stocked of all these
 */
public record PartFile(
    Part part,
    List<BoxContent> box,
    List<Part> boxedIn,
    Alternatives alternatives,
    List<StatedLine> history,
    Map<PartId, Part> named,
    PartShelf shelf) {

  public static PartFile of(Session session, LocalDate today, Part part) {
    List<StatedLine> history = session.statements().history(part.id());
    Set<PartId> ids = new LinkedHashSet<>(List.of(part.id()));
    history.forEach(l -> ids.addAll(List.of(l.statement().subject(), l.statement().object())));
    Map<PartId, Part> named = new HashMap<>();
    session.parts().byIds(ids).forEach(p -> named.put(p.id(), p));
    List<Part> boxedIn = session.parts().byIds(session.boxes().boxesWith(part.id()));
    boxedIn.forEach(box -> ids.add(box.id()));
    return new PartFile(
        part,
        session.boxes().of(part.id()),
        boxedIn,
        Alternatives.of(session, today, part.id(), Fitting.ANYWHERE),
        history,
        named,
        PartShelf.of(session, today, ids));
  }
}
