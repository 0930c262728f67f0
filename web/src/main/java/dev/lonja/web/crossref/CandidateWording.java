package dev.lonja.web.crossref;

import dev.lonja.core.crossref.BoxDifference;
import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.crossref.Alternatives;
import dev.lonja.desk.crossref.Substitute;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What may stand for one part, in words. */
public final class CandidateWording {

  private final Alternatives all;
  private final LocalDate today;

  public CandidateWording(Alternatives all, LocalDate today) {
    this.all = all;
    this.today = today;
  }

  /** Every candidate, best first. */
  public List<CandidateRow> rows() {
    return all.candidates().others().stream()
        .map(candidate -> row(candidate, all.boxDifference(candidate.part().id())))
        .toList();
  }

  /** The part that is asked for, as it suits the place. */
  CandidateRow itself() {
    return row(all.candidates().itself(), new BoxDifference(List.of(), List.of()));
  }

  private CandidateRow row(Candidate candidate, BoxDifference difference) {
    Part part = candidate.part();
    Optional<Item> item = all.shelf().item(part.id());
    return new CandidateRow(
        Plate.of(part, item),
        state(candidate.verdict()),
        candidate.path().filter(p -> p.hops() > 0).map(p -> p.confidence().display()).orElse(""),
        reasons(candidate),
        candidate
            .path()
            .map(path -> path.statements().stream().map(this::step).toList())
            .orElse(List.of()),
        new CandidateRow.Shelf(
            item.map(i -> i.homeBin().address()).orElse(""),
            item.map(i -> all.shelf().freeOf(i).display()).orElse(""),
            item.flatMap(all.shelf()::priceOf).map(UnitPrice::display).orElse("")),
        new CandidateRow.Box(contents(difference.lacks()), contents(difference.brings())),
        candidate.conflict(),
        item.isPresent() && candidate.verdict() != Verdict.DOES_NOT_FIT);
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

  private static State state(Verdict verdict) {
    return switch (verdict) {
      case FITS -> State.ready(verdict.words());
      case CHECK -> State.note(verdict.words());
      case STOPGAP -> State.part(verdict.words());
      case DOES_NOT_FIT -> State.ofShort(verdict.words());
    };
  }

  private CandidateRow.Step step(Statement statement) {
    return new CandidateRow.Step(
        all.around().part(statement.subject()).number(),
        statement.kind().words(),
        all.around().part(statement.object()).number(),
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
  public static String contents(List<BoxContent> contents) {
    return contents.stream()
        .map(content -> content.quantity() + " × " + content.part().number())
        .collect(Collectors.joining(", "));
  }

  /** "PL 88-F4 fits, 3 on shelf C-07.". */
  public static String instead(Substitute substitute) {
    return substitute.item().number()
        + " fits, "
        + substitute.free().display()
        + " on shelf "
        + substitute.item().homeBin().address()
        + ".";
  }
}
