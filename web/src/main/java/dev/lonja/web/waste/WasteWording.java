package dev.lonja.web.waste;

import dev.lonja.core.waste.ContainerStand;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteEntry;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.waste.CameBack;
import dev.lonja.desk.waste.CertificateDesk;
import dev.lonja.desk.waste.WasteDesk;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Says what waste is where, and by when it has to be fetched. */
final class WasteWording {

  private static final int WIDE = 190;
  private static final int HIGH = 150;
  private static final double TOP = 10;
  private static final double DEEP = 120;

  private final StoreClock clock;
  private final LocalDate today;

  WasteWording(StoreClock clock) {
    this.clock = clock;
    this.today = clock.today();
  }

  WasteView.Card card(ContainerStand stand) {
    WasteStream stream = stand.container().stream();
    return new WasteView.Card(
        stand.container().id().value(),
        stand.container().name(),
        stream.name() + (stream.code().isEmpty() ? "" : ", " + stream.code()),
        drawing(stand),
        stand.contents().display(),
        "of " + stand.container().capacity().display(),
        state(stand),
        why(stand));
  }

  private State state(ContainerStand stand) {
    return stand.call().map(this::state).orElse(State.ready("room enough"));
  }

  private State state(ContainerStand.Call call) {
    String by = Words.weekday(call.by()) + " " + Words.day(call.by(), today);
    if (call.isLate(today)) {
      return State.ofShort("late: to be called by " + by);
    }
    return call.isSoon(today) ? State.note("call by " + by) : State.ready("call by " + by);
  }

  private String why(ContainerStand stand) {
    return stand
        .call()
        .map(
            call ->
                switch (call.why()) {
                  case FULL ->
                      ContainerStand.FULL_PERCENT
                          + " % full "
                          + Words.day(call.fetchedBy(), today)
                          + ", the collector needs "
                          + Words.count(stand.container().leadDays(), "day", "days");
                  case LIMIT ->
                      "may be stored until "
                          + Words.day(call.fetchedBy(), today)
                          + ", the collector needs "
                          + Words.count(stand.container().leadDays(), "day", "days");
                })
        .orElse("");
  }

  private static String drawing(ContainerStand stand) {
    Svg svg = new Svg(WIDE, HIGH, stand.container().name() + ", " + stand.percent() + " % full");
    double full = DEEP * Math.min(100, stand.percent()) / 100;
    double called = TOP + DEEP * (100 - ContainerStand.FULL_PERCENT) / 100;
    svg.rect(45, TOP, 100, DEEP, "fill=\"#ffffff\"");
    svg.rect(45, TOP + DEEP - full, 100, full, "fill=\"#5d7780\"");
    svg.line(
        39, called, 151, called, "stroke=\"#835609\" stroke-width=\"2\" stroke-dasharray=\"6 4\"");
    svg.rect(45, TOP, 100, DEEP, "fill=\"none\" stroke=\"#0e2b33\" stroke-width=\"3\"");
    svg.line(32, TOP + DEEP, 158, TOP + DEEP, "stroke=\"#0e2b33\" stroke-width=\"2.5\"");
    return svg.done();
  }

  WasteView.One one(WasteDesk.Opened opened, List<CertificateDesk.Proven> proven) {
    ContainerStand stand = opened.stand();
    WasteStream stream = stand.container().stream();
    return new WasteView.One(
        card(stand),
        stream.kind().name().toLowerCase(Locale.ROOT),
        stand.container().capacity().measure().symbol(),
        notes(stand),
        opened.entries().stream().map(this::entry).toList(),
        proven.stream().map(one -> proven(stand, one)).toList());
  }

  private WasteView.Proven proven(ContainerStand stand, CertificateDesk.Proven one) {
    String path = "/stores/waste/" + stand.container().id();
    return new WasteView.Proven(
        path + "/collections/" + one.id() + "/certificates",
        "c" + one.id(),
        fetched(one.collection()),
        one.certificates().stream()
            .map(
                kept ->
                    new WasteView.Certificate(
                        path + "/certificates/" + kept.id(),
                        "d" + kept.id(),
                        (kept.mediaType().startsWith("image/") ? "photo" : "document")
                            + ", kept by "
                            + kept.actor()
                            + " "
                            + Words.day(clock.dayOf(kept.recordedAt()), today),
                        kept.withdrawn().orElse("")))
            .toList());
  }

  private List<String> notes(ContainerStand stand) {
    WasteStream stream = stand.container().stream();
    return List.of(
            "Only " + stream.kind().words() + " goes in; a mixture is refused by the collector.",
            stand
                .firstFilled()
                .map(day -> "First filled " + Words.day(day, today) + ".")
                .orElse("It is empty."),
            "About " + stand.weekly().display() + " come in a week.",
            stream
                .limitDays()
                .map(days -> "It may be stored for " + Words.count(days, "day", "days") + ".")
                .orElse("No limit of storage is set."),
            stand.container().place().isEmpty() ? "" : "It is " + stand.container().place() + ".")
        .stream()
        .filter(note -> !note.isEmpty())
        .toList();
  }

  private WasteView.Entry entry(WasteEntry entry) {
    return new WasteView.Entry(
        entry.id().value(),
        time(entry.at()),
        entry.quantity().display(),
        entry.from(),
        entry.tray().map(tray -> "/trays/" + tray).orElse(""));
  }

  private WasteView.Fetched fetched(WasteCollection collection) {
    return new WasteView.Fetched(
        time(collection.at()),
        collection.taken().display(),
        collection.carrier(),
        collection.document());
  }

  WasteView.Overview overview(WasteDesk.Overview overview) {
    return new WasteView.Overview(
        overview.stands().stream().map(this::card).toList(),
        overview.open().stream().map(open -> open(overview, open)).toList(),
        overview.streams().stream().map(WasteWording::stream).toList(),
        kinds(),
        overview.streams().stream()
            .map(
                s ->
                    new WasteView.Choice(
                        String.valueOf(s.id()), s.name() + ", in " + s.measure().symbol()))
            .toList(),
        today.getYear());
  }

  static List<WasteView.Choice> kinds() {
    return Arrays.stream(WasteKind.values())
        .map(kind -> new WasteView.Choice(kind.name().toLowerCase(Locale.ROOT), kind.words()))
        .toList();
  }

  private static WasteView.Stream stream(WasteStream stream) {
    return new WasteView.Stream(
        stream.name(),
        stream.kind().words(),
        stream.code(),
        stream
            .limitDays()
            .map(days -> "stored for " + Words.count(days, "day", "days") + " at most")
            .orElse("no limit of storage"));
  }

  private WasteView.Open open(WasteDesk.Overview overview, CameBack open) {
    return new WasteView.Open(
        "j" + open.tray() + open.kind().ordinal(),
        open.tray().value(),
        open.number(),
        Words.day(open.on(), today),
        open.kind().name().toLowerCase(Locale.ROOT),
        open.kind().words(),
        open.volume().litres().setScale(1, RoundingMode.HALF_UP).toPlainString(),
        overview.stands().stream()
            .filter(stand -> stand.container().stream().kind() == open.kind())
            .map(
                stand ->
                    new WasteView.Choice(
                        String.valueOf(stand.container().id()), stand.container().name()))
            .toList());
  }

  WasteView.Year year(int year, List<WasteDesk.YearOfStream> streams) {
    return new WasteView.Year(
        year,
        streams.stream()
            .map(
                one ->
                    new WasteView.YearOfStream(
                        one.stream().name(),
                        one.stream().code(),
                        one.putIn().display(),
                        one.fetched().display(),
                        one.collections().stream().map(c -> fetched(c.collection())).toList()))
            .toList());
  }

  CsvAnswer csv(List<WasteDesk.YearOfStream> streams) {
    CsvAnswer csv =
        new CsvAnswer(
            "stream",
            "kind",
            "code",
            "collected_on",
            "container",
            "quantity",
            "unit",
            "carrier",
            "document");
    for (WasteDesk.YearOfStream one : streams) {
      for (WasteDesk.Fetched fetched : one.collections()) {
        WasteCollection collection = fetched.collection();
        csv.row(
            one.stream().name(),
            one.stream().kind().name().toLowerCase(Locale.ROOT),
            one.stream().code(),
            clock.dayOf(collection.at()).toString(),
            fetched.container().name(),
            collection.taken().exactText(),
            collection.taken().measure().symbol(),
            collection.carrier(),
            collection.document());
      }
    }
    return csv;
  }

  private String time(Instant at) {
    return Words.day(clock.dayOf(at), today) + ", " + clock.timeOf(at);
  }
}
