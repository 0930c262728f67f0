package dev.lonja.web.tray;

import dev.lonja.desk.tray.TrayFile;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** From which packs a fluid is taken, in words. */
public final class PackWording {

  private PackWording() {}

  /** "2.40 L of what is open in T-1, good through 14 Jun; 2 whole packs from D-04." */
  public static String of(List<TrayFile.Packed> packs, LocalDate today) {
    return packs.isEmpty()
        ? ""
        : "Take "
            + packs.stream().map(packed -> words(packed, today)).collect(Collectors.joining("; "))
            + ".";
  }

  private static String words(TrayFile.Packed packed, LocalDate today) {
    String bin = packed.lot().binAddress();
    String amount = packed.pick().quantity().display();
    return switch (packed.pick().kind()) {
      case OPEN -> amount + " of what is open in " + bin + until(packed, today);
      case WHOLE ->
          Words.count(packed.pick().packs(), "whole pack", "whole packs") + " from " + bin;
      case OPENED -> amount + " of a new pack from " + bin;
    };
  }

  private static String until(TrayFile.Packed packed, LocalDate today) {
    return Optional.of(packed.lot().lot())
        .filter(lot -> lot.openedOn().isPresent())
        .flatMap(lot -> lot.expiresOn())
        .map(day -> ", good through " + Words.day(day, today))
        .orElse("");
  }
}
