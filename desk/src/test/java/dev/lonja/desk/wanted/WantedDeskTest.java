package dev.lonja.desk.wanted;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.Cage;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.tray.TrayRefusal;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Findings and wanted parts of the example store. WB-2 is in service since 11 April 2023. */
class WantedDeskTest {

  private static final FindingId WATCHED = new FindingId(1);
  private static final FindingId HOSE = new FindingId(2);

  @RegisterExtension private final Cage cage = new Cage();
  private WantedDesk desk;

  @BeforeEach
  void open() {
    desk = new WantedDesk(cage.store(), cage.clock(), cage.once());
  }

  private static WantedDesk.Wish wish(String code, String amount, String needed, String why) {
    return new WantedDesk.Wish(
        code,
        new BigDecimal(amount),
        needed.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(needed)),
        why);
  }

  private List<Refusal> refusedFor(String unit, WantedDesk.Wish wish) {
    return Cage.reasons(desk.ask(cage.sent(), Optional.of(unit), wish));
  }

  private Finding finding(FindingId id) {
    return cage.read(session -> session.findings().byId(id).orElseThrow());
  }

  @Test
  void whatIsFoundLiesBetweenTheStartOfServiceAndToday() {
    for (String day : List.of("2023-04-10", "2027-03-16")) {
      assertThat(Cage.reasons(desk.note(cage.sent(), "WB-2", "belt cracked", LocalDate.parse(day))))
          .as(day)
          .singleElement()
          .isInstanceOf(WantedRefusal.OutsideService.class);
    }
    assertThat(Cage.reasons(desk.note(cage.sent(), "XX", "belt", Cage.TODAY)))
        .containsExactly(new WantedRefusal.UnknownUnit("XX"));
    assertThat(desk.note(cage.sent(), "wb-2", "belt cracked", LocalDate.parse("2023-04-11")))
        .isInstanceOf(Outcome.Done.class);
    assertThat(desk.boardOf("WB-2").orElseThrow().findings())
        .extracting(Finding::words)
        .contains("belt cracked");
  }

  @Test
  void aFindingIsClosedOnceAndWantsAPartOnlyWhileItStands() {
    assertThat(desk.settle(cage.sent(), WATCHED, Finding.State.CLOSED, "dry since May"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(desk.settle(cage.sent(), WATCHED, Finding.State.CLOSED, "dry again")))
        .containsExactly(new WantedRefusal.NotNow(Finding.State.CLOSED));
    assertThat(Cage.reasons(desk.want(cage.sent(), WATCHED, wish("HC 20-32", "1", "", ""))))
        .containsExactly(new WantedRefusal.NotNow(Finding.State.WANTED));
    assertThat(finding(WATCHED).why()).isEqualTo("dry since May");
    assertThat(desk.settle(cage.sent(), WATCHED, Finding.State.OPEN, ""))
        .isInstanceOf(Outcome.Done.class);
    assertThat(finding(WATCHED).why()).isEmpty();
  }

  /** What is refused leaves the finding as it was. */
  @Test
  void aPartThatIsNotKnownIsNotWanted() {
    Outcome unknown = desk.want(cage.sent(), WATCHED, wish("nothing", "1", "", ""));
    assertThat(Cage.reasons(unknown)).containsExactly(new WantedRefusal.UnknownNumber("nothing"));
    assertThat(finding(WATCHED).state()).isEqualTo(Finding.State.WATCHED);
  }

  @Test
  void aSecondPartMayBeWantedForAFinding() {
    assertThat(desk.want(cage.sent(), HOSE, wish("RAG 10", "1", "2027-03-15", "")))
        .isInstanceOf(Outcome.Done.class);
    List<WantedPart> open = cage.read(session -> session.wanted().open());
    assertThat(open)
        .filteredOn(part -> part.cause() instanceof WantedPart.Cause.OfFinding)
        .extracting(WantedPart::itemId)
        .containsExactlyInAnyOrder(new ItemId(38), new ItemId(39));
  }

  @Test
  void everythingWrongWithAWishIsSaidAtOnce() {
    assertThat(refusedFor("WB-2", wish("HC 20-32", "1.5", "2027-03-14", "hose")))
        .containsExactly(
            new WantedRefusal.BadQuantity(Quantity.pieces(1).plus(half())),
            new WantedRefusal.NeededOutside(
                LocalDate.parse("2027-03-14"), Cage.TODAY, LocalDate.parse("2029-03-15")));
  }

  private static Quantity half() {
    return new Quantity(Quantity.pieces(1).measure(), 500_000);
  }

  /** The same question as on a tray: item 10 is a filter of which nobody has said anything here. */
  @Test
  void whatIsAskedForIsJudgedLikeWhatIsPutOn() {
    assertThat(refusedFor("WB-2", wish("OS 118", "1", "", "spare")))
        .singleElement()
        .isInstanceOf(TrayRefusal.FitsNowhere.class);
    assertThat(refusedFor("WB-2", wish("Al 12x16x1.5", "1", "", "")))
        .singleElement()
        .isInstanceOf(TrayRefusal.SayWhatFor.class);
    assertThat(desk.ask(cage.sent(), Optional.empty(), wish("OS 118", "1", "", "to look at")))
        .isInstanceOf(Outcome.Done.class);
  }

  @Test
  void aPartIsDroppedOnce() {
    WantedPart rags = cage.read(session -> session.wanted().open().get(0));
    assertThat(desk.drop(cage.sent(), rags.id(), "found some")).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(desk.drop(cage.sent(), rags.id(), "found some")))
        .containsExactly(new WantedRefusal.NotOpen());
  }
}
