package dev.lonja.web.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.transfer.Refills;
import dev.lonja.desk.transfer.TransferDesk;
import dev.lonja.store.place.TransferRepository.Stored;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Says what goes from one place to another. */
final class TransferWording {

  private static final int NAMED = 3;

  private final StoreClock clock;

  TransferWording(StoreClock clock) {
    this.clock = clock;
  }

  TransferView view(TransferDesk.Overview overview, Map<ItemId, Item> items) {
    Map<Place, List<TransferView.RefillLine>> refills = new LinkedHashMap<>();
    overview
        .refills()
        .forEach(
            one -> refills.computeIfAbsent(one.to(), place -> new ArrayList<>()).add(refill(one)));
    return new TransferView(
        overview.open().isEmpty()
            ? "none is open"
            : Words.count(overview.open().size(), "is open", "are open"),
        DrawingView.of(
            overview.drawn(),
            "What the satellites are to be filled up with is being worked out.",
            "What is to be filled up was worked out before the last change; it is done anew."),
        overview.names().entrySet().stream()
            .map(entry -> new TransferView.PlaceChoice(entry.getKey().toString(), entry.getValue()))
            .toList(),
        refills.entrySet().stream()
            .map(
                entry ->
                    new TransferView.Refill(
                        entry.getKey().toString(),
                        overview.names().get(entry.getKey()),
                        entry.getValue()))
            .toList(),
        overview.open().stream().map(one -> row(one, overview.names(), items)).toList(),
        overview.ended().stream().map(one -> row(one, overview.names(), items)).toList());
  }

  private static TransferView.RefillLine refill(Refills.Proposal one) {
    return new TransferView.RefillLine(
        Plate.of(one.item()),
        one.item().description(),
        one.position().display()
            + " there or on the way, "
            + one.level().display()
            + " needed; "
            + one.spare().display()
            + " to spare",
        one.amount().exactText(),
        one.item().measure().symbol());
  }

  private TransferView.Row row(Stored one, Map<Place, String> names, Map<ItemId, Item> items) {
    return new TransferView.Row(
        one.id().toString(),
        one.number(),
        names.get(one.from()) + " → " + names.get(one.to()),
        state(one),
        things(one, items),
        one.endedAt()
            .or(() -> one.sent().map(sent -> sent.at()))
            .map(this::day)
            .orElseGet(() -> day(one.askedAt())));
  }

  private static String things(Stored one, Map<ItemId, Item> items) {
    String named =
        one.lines().stream()
            .limit(NAMED)
            .map(line -> line.wanted().display() + " " + items.get(line.itemId()).number())
            .collect(Collectors.joining(", "));
    int more = one.lines().size() - NAMED;
    return more > 0 ? named + " and " + more + " more" : named;
  }

  private static State state(Stored one) {
    String word = TransferRefusals.word(one.state());
    return switch (one.state()) {
      case ASKED -> {
        long picked = one.lines().stream().filter(line -> line.picked().isPositive()).count();
        yield picked == 0
            ? State.open(word)
            : State.note(picked + " of " + one.lines().size() + " picked");
      }
      case SENT -> State.note(word);
      case CLOSED ->
          one.lines().stream().anyMatch(line -> line.lost().isPositive())
              ? State.note("closed, some of it lost")
              : State.ready("all came");
      case DROPPED -> State.open(word);
    };
  }

  TransferView.One one(TransferDesk.File file) {
    Stored transfer = file.transfer();
    boolean asked = transfer.state() == TransferState.ASKED;
    boolean sent = transfer.state() == TransferState.SENT;
    return new TransferView.One(
        transfer.id().toString(),
        transfer.number(),
        file.names().get(transfer.from()),
        file.names().get(transfer.to()),
        state(transfer),
        asked,
        sent,
        story(transfer),
        file.lines().stream().map(line -> line(line, asked)).toList());
  }

  private String story(Stored transfer) {
    return "Asked for by "
        + transfer.askedBy()
        + ", "
        + day(transfer.askedAt())
        + "."
        + transfer
            .sent()
            .map(sent -> " Sent by " + sent.by() + ", " + day(sent.at()) + ".")
            .orElse("")
        + transfer.endedAt().map(at -> " Ended " + day(at) + ".").orElse("");
  }

  private static TransferView.Line line(TransferDesk.Line line, boolean asked) {
    TransferLine its = line.line();
    return new TransferView.Line(
        Plate.of(line.item()),
        line.item().description(),
        line.item().measure().symbol(),
        amounts(its),
        state(line, asked),
        line.lies().stream()
            .map(lot -> lot.binAddress())
            .distinct()
            .collect(Collectors.joining(" ")),
        its.picked().exactText(),
        its.underway().isPositive() ? its.underway().exactText() : "",
        line.into().isEmpty() ? "" : line.into().get(0).bin().address());
  }

  private static String amounts(TransferLine line) {
    StringBuilder words = new StringBuilder(line.wanted().display()).append(" wanted");
    add(words, line.picked(), "picked");
    add(words, line.came(), "came");
    add(words, line.stayed(), "never left");
    add(words, line.lost(), "lost");
    return words.toString();
  }

  private static void add(StringBuilder words, Quantity quantity, String what) {
    if (quantity.isPositive()) {
      words.append(", ").append(quantity.display()).append(' ').append(what);
    }
  }

  private static State state(TransferDesk.Line line, boolean asked) {
    TransferLine its = line.line();
    if (!asked) {
      return its.underway().isPositive()
          ? State.note(its.underway().display() + " on the way")
          : State.ready("settled");
    }
    if (line.free().compareTo(its.wanted()) < 0) {
      return State.ofShort(line.free().display() + " free");
    }
    return its.picked().compareTo(its.wanted()) >= 0
        ? State.ready("picked")
        : State.open(line.free().display() + " free");
  }

  private String day(Instant at) {
    return Words.day(clock.dayOf(at), clock.today());
  }
}
