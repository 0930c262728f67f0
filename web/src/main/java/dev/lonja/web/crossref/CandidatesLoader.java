package dev.lonja.web.crossref;

import dev.lonja.core.crossref.BoxDifference;
import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.person.Viewer;
import dev.lonja.store.Session;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What may stand for one part, worked out and put into words. */
public final class CandidatesLoader {

  private final Session session;
  private final LocalDate today;
  private final Neighbourhood around;
  private final Map<PartId, Item> items = new HashMap<>();
  private final Map<ItemId, Quantity> free = new HashMap<>();
  private final Map<ItemId, UnitPrice> prices = new HashMap<>();
  private final Candidates candidates;

  private CandidatesLoader(Session session, LocalDate today, PartId partId, Fitting place) {
    this.session = session;
    this.today = today;
    this.around = Neighbourhood.around(partId, session.statements());
    this.candidates = Candidates.of(around, place, session.rubbers().table(), this::shelves);
    lookUp(List.of(partId));
  }

  private Map<PartId, Candidates.Shelf> shelves(Collection<PartId> parts) {
    lookUp(parts);
    Map<PartId, Candidates.Shelf> shelves = new HashMap<>();
    items.forEach(
        (part, item) ->
            shelves.put(
                part,
                new Candidates.Shelf(freeOf(item), Optional.ofNullable(prices.get(item.id())))));
    return shelves;
  }

  /** Looks up what is stocked of parts, how much of it is free, and what it costs. */
  void lookUp(Collection<PartId> parts) {
    Map<PartId, Item> found = session.items().byParts(parts);
    List<ItemId> ids = found.values().stream().map(Item::id).toList();
    items.putAll(found);
    free.putAll(session.ledger().free(today, ids));
    prices.putAll(session.keeping().lowestPrices(ids, session.settings().currency()));
  }

  public static CandidatesLoader of(
      Session session, LocalDate today, PartId partId, Fitting place) {
    return new CandidatesLoader(session, today, partId, place);
  }

  /** What of an item is usable and on no tray. */
  Quantity freeOf(Item item) {
    return free.getOrDefault(item.id(), Quantity.zero(item.measure()));
  }

  public Candidates candidates() {
    return candidates;
  }

  Neighbourhood around() {
    return around;
  }

  /** The stocked item of a part in this neighbourhood. */
  Optional<Item> item(PartId part) {
    return Optional.ofNullable(items.get(part));
  }

  String free(PartId part) {
    return item(part).map(item -> freeOf(item).display()).orElse("");
  }

  /** Every candidate in words, best first. */
  public List<CandidateRow> rows() {
    List<PartId> parts = new ArrayList<>(List.of(candidates.asked().id()));
    candidates.others().forEach(candidate -> parts.add(candidate.part().id()));
    Map<PartId, List<BoxContent>> boxes = session.boxes().of(parts);
    return candidates.others().stream().map(candidate -> row(candidate, boxes)).toList();
  }

  /** The part that is asked for, as it suits the place. */
  CandidateRow itself() {
    return row(candidates.itself(), Map.of());
  }

  private CandidateRow row(Candidate candidate, Map<PartId, List<BoxContent>> boxes) {
    Part part = candidate.part();
    BoxDifference difference =
        BoxDifference.between(
            boxes.getOrDefault(candidates.asked().id(), List.of()),
            boxes.getOrDefault(part.id(), List.of()));
    Optional<Item> item = item(part.id());
    return new CandidateRow(
        Plate.of(part, item),
        state(candidate.verdict()),
        candidate.path().filter(p -> p.hops() > 0).map(p -> p.confidence().display()).orElse(""),
        reasons(candidate),
        candidate
            .path()
            .map(path -> path.statements().stream().map(this::step).toList())
            .orElse(List.of()),
        item.map(i -> i.homeBin().address()).orElse(""),
        free(part.id()),
        item.filter(i -> Viewer.seesMoney())
            .map(i -> prices.get(i.id()))
            .map(UnitPrice::display)
            .orElse(""),
        contents(difference.lacks()),
        contents(difference.brings()),
        candidate.conflict(),
        item.isPresent() && candidate.verdict() != Verdict.DOES_NOT_FIT);
  }

  /** True if a part is stocked as this item. */
  public boolean stocks(PartId part, ItemId itemId) {
    return item(part).filter(item -> item.id().equals(itemId)).isPresent();
  }

  /** Why a candidate does not simply fit, each in a few words. */
  public static List<String> reasons(Candidate candidate) {
    List<String> reasons = new ArrayList<>();
    candidate.veto().ifPresent(veto -> reasons.add("never: " + veto.note()));
    reasons.addAll(FindingWording.reasons(candidate.comparison()));
    if (candidate.veto().isEmpty()
        && candidate.verdict() == Verdict.CHECK
        && !candidate.comparison().asksForACheck()) {
      reasons.add("below 0.90: look before you lay it");
    }
    return reasons;
  }

  static State state(Verdict verdict) {
    return switch (verdict) {
      case FITS -> State.ready(verdict.words());
      case CHECK -> State.note(verdict.words());
      case STOPGAP -> State.part(verdict.words());
      case DOES_NOT_FIT -> State.ofShort(verdict.words());
    };
  }

  private CandidateRow.Step step(Statement statement) {
    return new CandidateRow.Step(
        around.part(statement.subject()).number(),
        statement.kind().words(),
        around.part(statement.object()).number(),
        source(statement, today));
  }

  /** "filter maker's catalogue, 12 Feb 2026, 0.92". */
  static String source(Statement statement, LocalDate today) {
    return statement.source().words()
        + ", "
        + Words.day(statement.saidOn(), today)
        + ", "
        + statement.confidence().display();
  }

  /** "2 × Cu 14×18×1.5, 1 × OR 68×3 NBR". */
  static String contents(List<BoxContent> contents) {
    return contents.stream()
        .map(content -> content.quantity() + " × " + content.part().number())
        .collect(Collectors.joining(", "));
  }
}
