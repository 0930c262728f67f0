package dev.lonja.web.frame;

import dev.lonja.store.service.DeviationRepository;

/** Says what of a book's claims proved wrong on a machine. */
public final class AbsenceWording {

  private AbsenceWording() {}

  /** "RT-04 has no Rear axle: single axle". */
  public static String of(DeviationRepository.Absence absence) {
    return absence.unit() + " has no " + absence.what() + ": " + absence.reason();
  }
}
