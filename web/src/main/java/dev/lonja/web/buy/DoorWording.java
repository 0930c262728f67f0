package dev.lonja.web.buy;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.PutAway;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.scan.Gs1;
import dev.lonja.desk.order.DoorDesk;
import dev.lonja.desk.place.PutAways;
import dev.lonja.web.crossref.CandidateWording;
import dev.lonja.web.crossref.PartFactsWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what is awaited at the door. */
final class DoorWording {

  private final LocalDate today;

  DoorWording(LocalDate today) {
    this.today = today;
  }

  DoorView all(String scanned, List<DoorDesk.Awaited> awaited, List<DoorDesk.InPlace> inPlace) {
    return new DoorView(
        Words.count(awaited.size(), "line", "lines") + " awaited",
        scanned,
        awaited.stream().map(this::row).toList(),
        inPlace.stream()
            .map(
                one ->
                    new DoorView.InPlace(
                        row(one.awaited()),
                        StandInWording.verdict(one.awaited().line().item(), one.standIn())))
            .toList());
  }

  private DoorView.Row row(DoorDesk.Awaited awaited) {
    OrderLine line = awaited.line();
    String day =
        line.fate().promisedOn().map(d -> Words.weekday(d) + " " + Words.day(d, today)).orElse("");
    return new DoorView.Row(
        awaited.order().id(),
        line.id(),
        Plate.of(line.item()),
        awaited.order().supplier().name(),
        line.outstanding().display()
            + " of "
            + line.ordered().display()
            + (line.theirNumber().isEmpty() ? "" : ", their number " + line.theirNumber()),
        line.isOverdue(today) ? State.ofShort("overdue since " + day) : State.open(day));
  }

  /** "A-03: 4, its home; B-07: 8, empty and near"; nothing if all goes home. */
  private static String putAway(List<PutAways.Into> into) {
    return into.size() == 1 && into.get(0).why() == PutAway.Why.HOME
        ? ""
        : into.stream()
            .map(
                one ->
                    one.bin().address()
                        + ": "
                        + one.quantity().display()
                        + ", "
                        + switch (one.why()) {
                          case HOME -> "its home";
                          case KEPT -> "it is kept there too";
                          case SAME -> "some of it lies there";
                          case EMPTY -> "empty, and nearest to its home";
                          case NO_ROOM -> "though it is full: no other bin has room";
                        })
            .collect(Collectors.joining("; ", "Put away: ", "."));
  }

  DoorView.Line line(DoorDesk.Sample sample, Optional<Gs1> scanned) {
    OrderLine line = sample.awaited().line();
    Item item = line.item();
    Quantity came =
        scanned
            .flatMap(Gs1::count)
            .map(count -> Quantity.of(item.measure(), count))
            .orElse(line.outstanding());
    return new DoorView.Line(
        row(sample.awaited()),
        new DoorView.Compare(
            PartFactsWording.properties(sample.part()).stream()
                .filter(fact -> !fact.value().equals(PartFactsWording.NOT_RECORDED))
                .toList(),
            CandidateWording.contents(sample.box()),
            sample.hasPicture()),
        new DoorView.Proposed(
            item.measure().symbol(),
            came.exactText(),
            line.holds().valueOf(came).exactText(),
            sample.into().isEmpty()
                ? item.homeBin().address()
                : sample.into().get(0).bin().address(),
            putAway(sample.into()),
            item.needsLot(),
            scanned.flatMap(Gs1::lot),
            scanned.flatMap(Gs1::expires).map(LocalDate::toString)));
  }
}
