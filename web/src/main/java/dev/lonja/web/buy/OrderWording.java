package dev.lonja.web.buy;

import dev.lonja.core.order.Claim;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.store.order.ClaimRepository;
import dev.lonja.store.order.MailRepository;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Says what is ordered and how far it is. */
final class OrderWording {

  /** Quantities are kept in millionths. */
  private static final int MICRO = 6;

  private final StoreClock clock;
  private final LocalDate today;
  private final Currency currency;

  OrderWording(StoreClock clock, Currency currency) {
    this.clock = clock;
    this.today = clock.today();
    this.currency = currency;
  }

  OrdersView all(OrderDesk.Board board) {
    List<Order> open =
        board.orders().stream()
            .filter(order -> order.state() == OrderState.DRAFT || order.state().isOpen())
            .toList();
    long late = open.stream().filter(order -> overdue(order) > 0).count();
    return new OrdersView(
        Words.count(open.size(), "open", "open") + (late > 0 ? ", " + late + " late" : ""),
        open.stream().map(this::row).toList(),
        board.claims().stream().map(this::claim).toList(),
        board.unused().stream().map(this::answer).toList(),
        board.orders().stream().filter(order -> !open.contains(order)).map(this::row).toList());
  }

  private long overdue(Order order) {
    return order.waiting().stream().filter(line -> line.isOverdue(today)).count();
  }

  private OrdersView.Row row(Order order) {
    return new OrdersView.Row(
        order.id(),
        order.supplier().name(),
        state(order),
        Words.count(order.lines().size(), "line", "lines"),
        days(order),
        order.worth(currency).display());
  }

  private State state(Order order) {
    long overdue = overdue(order);
    if (overdue > 0) {
      return State.ofShort(Words.count(overdue, "line", "lines") + " overdue");
    }
    String words = order.state().words();
    return switch (order.state()) {
      case DRAFT -> State.note(words);
      case SENT -> State.open(words);
      case CONFIRMED, CLOSED -> State.ready(words);
      case PART_RECEIVED -> State.part(words);
      case CANCELLED -> State.open(words);
    };
  }

  private String days(Order order) {
    String begun =
        order.sentOn().map(day -> "sent " + day(day)).orElse("begun " + day(order.madeOn()));
    Optional<LocalDate> next =
        order.waiting().stream()
            .flatMap(line -> line.fate().promisedOn().stream())
            .min(Comparator.naturalOrder());
    return begun + next.map(day -> ", promised for " + day(day)).orElse("");
  }

  private String day(LocalDate day) {
    return Words.day(day, today);
  }

  private OrdersView.ClaimRow claim(ClaimRepository.OfOrder of) {
    Claim claim = of.claim();
    String end =
        claim
            .end()
            .map(
                settled ->
                    "; "
                        + settled.outcome().words()
                        + " "
                        + day(settled.on())
                        + (settled.why().isEmpty() ? "" : ": " + settled.why()))
            .orElse("");
    return new OrdersView.ClaimRow(
        claim.id(),
        of.order(),
        claim.quantity().display()
            + " "
            + claim.kind().words()
            + (claim.words().isEmpty() ? "" : ": " + claim.words())
            + end,
        day(claim.openedOn()),
        claim.end().isEmpty());
  }

  OrderView one(OrderDesk.File file) {
    Order order = file.order();
    boolean draft = order.state() == OrderState.DRAFT;
    Money worth = order.worth(currency);
    Money freight = order.freight(currency);
    return new OrderView(
        order.id(),
        order.version(),
        order.supplier().name(),
        state(order),
        steps(file),
        new OrderView.Money(
            worth.display(),
            freight.minor() == 0 ? "" : freight.display(),
            worth.plus(freight).display()),
        new OrderView.May(
            draft,
            order.state().isOpen(),
            order.lines().stream().anyMatch(line -> line.fate().received().isPositive())),
        order.note(),
        order.lines().stream().map(line -> line(file, line)).toList(),
        new OrderView.Trail(
            file.answers().stream().map(said -> answer(order, said)).toList(),
            file.claims().stream().map(this::claim).toList()));
  }

  private List<String> steps(OrderDesk.File file) {
    Order order = file.order();
    List<String> steps = new ArrayList<>();
    steps.add("begun " + day(order.madeOn()));
    order.sentOn().ifPresent(day -> steps.add("sent " + day(day)));
    if (file.waits()) {
      steps.add("waits to be handed to their system");
    } else if (file.byGateway() && order.sentOn().isPresent()) {
      steps.add("handed to their system");
    }
    if (order.sentOn().isEmpty()) {
      LocalDate arrival = order.supplier().deliveries().arrival(today, order.supplier().leadDays());
      steps.add("sent today it is expected on " + Words.weekday(arrival) + " " + day(arrival));
    }
    return steps;
  }

  private OrderView.Line line(OrderDesk.File file, OrderLine line) {
    Order order = file.order();
    UnitPrice price = line.holds();
    return new OrderView.Line(
        line.id(),
        Plate.of(line.item()),
        line.theirNumber(),
        line.ordered().display(),
        line.ordered().exactText(),
        BuyWording.packs(line.ordered(), line.pack()),
        price.display(),
        line.cost().display(),
        state(order, line),
        new OrderView.Follow(
            BuyWording.FIELD + line.item().id(),
            order.waiting().contains(line),
            line.outstanding().exactText(),
            line.fate().promisedOn().map(LocalDate::toString).orElse(""),
            line.pack().exactText(),
            line.fate().received().isPositive(),
            notes(file, line)));
  }

  private List<String> notes(OrderDesk.File file, OrderLine line) {
    List<String> notes = new ArrayList<>();
    Quantity received = line.fate().received();
    if (received.isPositive()) {
      notes.add(received.display() + " came");
    }
    file.cameAs().stream()
        .filter(one -> one.line().equals(line.id()))
        .forEach(
            one ->
                notes.add(
                    "of them "
                        + one.quantity().display()
                        + " as "
                        + one.item().make()
                        + " "
                        + one.item().number()));
    if (line.fate().givenUp().isPositive()) {
      notes.add(line.fate().givenUp().display() + " will not come: " + line.fate().why());
    }
    line.said()
        .filter(said -> !said.equals(line.price()))
        .ifPresent(said -> notes.add("asked for at " + line.price().display()));
    return notes;
  }

  private State state(Order order, OrderLine line) {
    if (order.state() == OrderState.DRAFT) {
      return State.note(line.item().description().isEmpty() ? "draft" : line.item().description());
    }
    if (!order.waiting().contains(line)) {
      return line.fate().received().isPositive() ? State.ready("came") : State.open("given up");
    }
    String promised =
        line.fate().promisedOn().map(day -> Words.weekday(day) + " " + day(day)).orElse("");
    if (line.isOverdue(today)) {
      return State.ofShort(line.outstanding().display() + " overdue since " + promised);
    }
    String words = line.outstanding().display() + " promised for " + promised;
    return line.fate().isConfirmed() ? State.ready(words) : State.open(words + ", not confirmed");
  }

  /** The same with the number that it is about in front. */
  private String answer(Order order, MailRepository.Answer answer) {
    return answer.line().flatMap(order::line).map(line -> line.item().number() + ": ").orElse("")
        + answer(answer);
  }

  /** "12 Mar, Cabo Norte Supply: confirmed 8, at 12.10 EUR, for 22 Mar". */
  private String answer(MailRepository.Answer answer) {
    MailRepository.Facts said = answer.said();
    String what =
        switch (said.kind()) {
          case CONFIRMED -> "confirmed " + figures(said);
          case SHIPPED -> "shipped " + figures(said);
          case SUPERSEDED ->
              "the number is "
                  + said.words()
                  + " now; ask whether it will do, then change the order";
          case CANCELLED -> "will not bring the rest: " + said.words();
          case NOT_USED -> "not used: " + said.words().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    return day(clock.dayOf(answer.at()))
        + ", "
        + answer.actor()
        + ": "
        + what
        + (answer.tooLate() ? " (too late, nothing was still to come)" : "");
  }

  private String figures(MailRepository.Facts said) {
    String price =
        said.priceE4().map(e4 -> " at " + new UnitPrice(e4, currency).display()).orElse("");
    return said.quantityMicro().map(micro -> PlainDecimal.of(micro, MICRO)).orElse("")
        + price
        + said.arrives().map(day -> " for " + day(day)).orElse("");
  }
}
