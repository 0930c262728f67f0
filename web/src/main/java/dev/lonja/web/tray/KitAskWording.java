package dev.lonja.web.tray;

import dev.lonja.core.take.KitRange;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.web.frame.KitRangeWording;
import dev.lonja.web.request.Problem;
import java.util.ArrayList;
import java.util.List;

/** Says all that stands against a kit on a machine, line by line. */
final class KitAskWording {

  private KitAskWording() {}

  static Problem of(TrayRefusal.KitAsks asks) {
    List<String> lines = new ArrayList<>();
    String kit = asks.kit().number();
    String madeFor = KitRangeWording.of(asks.ranges());
    if (asks.answer() == KitRange.Answer.OUT) {
      lines.add(kit + " is not made for " + asks.unit() + ": it is for " + madeFor + ".");
    } else if (asks.answer() == KitRange.Answer.NOT_KNOWN) {
      lines.add(
          kit + " is for " + madeFor + ", and that is not noted of " + asks.unit() + "'s variant.");
    }
    asks.pieces().stream().map(KitAskWording::piece).forEach(lines::add);
    return new Problem(
        "why", String.join("\n", lines) + "\nSay what it is for, and the kit is put on.");
  }

  private static String piece(TrayRefusal refusal) {
    return "In it "
        + (refusal instanceof TrayRefusal.SayWhatFor ask
            ? TrayRefusals.asked(ask)
            : TrayRefusals.WORDS.problem(refusal).text());
  }
}
