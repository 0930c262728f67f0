package dev.lonja.web.today;

import dev.lonja.core.tank.Reconciliation;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.core.waste.ContainerStand;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.store.place.TransferRepository;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What needs hands at the tanks and the waste. */
final class StoresNeeds {

  private static final String TRANSFERS = "/stores/transfers";

  private StoresNeeds() {}

  /** What is asked for or on the way between places. */
  static List<TodayView.Need> moving(List<TransferRepository.Stored> transfers) {
    long asked = transfers.stream().filter(one -> one.state() == TransferState.ASKED).count();
    long sent = transfers.size() - asked;
    List<TodayView.Need> needs = new ArrayList<>();
    if (asked > 0) {
      needs.add(
          new TodayView.Need(
              false,
              Words.count(asked, "transfer is", "transfers are") + " to be picked",
              "Asked for by another place of the store.",
              TRANSFERS));
    }
    if (sent > 0) {
      needs.add(
          new TodayView.Need(
              false,
              Words.count(sent, "transfer is", "transfers are") + " on the way",
              "To be taken in, or to be settled.",
              TRANSFERS));
    }
    return needs;
  }

  static List<TodayView.Need> of(
      List<TankStand> tanks, List<ContainerStand> waste, int binsToCount, LocalDate today) {
    List<TodayView.Need> needs = new ArrayList<>();
    tanks.forEach(tank -> of(tank).ifPresent(needs::add));
    waste.forEach(container -> of(container, today).ifPresent(needs::add));
    if (binsToCount > 0) {
      needs.add(
          new TodayView.Need(
              false,
              Words.count(binsToCount, "bin is", "bins are") + " to be counted",
              "In walking order, with a phone or on paper.",
              "/stores/counts"));
    }
    return needs;
  }

  private static Optional<TodayView.Need> of(TankStand stand) {
    Optional<String> drift = stand.checked().suspicion().map(StoresNeeds::words);
    boolean low = stand.level().isLow();
    if (drift.isEmpty() && !low) {
      return Optional.empty();
    }
    return Optional.of(
        new TodayView.Need(
            drift.isPresent(),
            stand.tank().name() + (drift.isPresent() ? " does not agree" : " runs low"),
            drift.orElseGet(() -> stand.tank().percent(stand.level().now()) + " % full."),
            "/stores/tanks/" + stand.tank().id()));
  }

  private static String words(Reconciliation.Suspicion suspicion) {
    return switch (suspicion) {
      case DIP -> "Dip it again.";
      case METER -> "Look at the pour meter.";
      case LEAK -> "Look for a leak.";
      case EITHER -> "Look at the pour meter, and for a leak.";
    };
  }

  private static Optional<TodayView.Need> of(ContainerStand stand, LocalDate today) {
    return stand
        .call()
        .filter(call -> call.isSoon(today))
        .map(
            call ->
                new TodayView.Need(
                    call.isLate(today),
                    stand.container().name() + " is to be fetched",
                    "Call by " + Words.day(call.by(), today) + "; " + stand.percent() + " % full.",
                    "/stores/waste/" + stand.container().id()));
  }
}
