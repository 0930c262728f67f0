package dev.lonja.desk.meter;

import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Readings that come in together, all of a meter judged with each other. */
final class Batch {

  private final List<MeterDesk.Entry> good = new ArrayList<>();
  private final List<MeterDesk.Bad> bad = new ArrayList<>();

  Batch(Session session, LocalDate today, List<MeterDesk.Entry> entries) {
    Map<MeterId, MeterStanding> meters = FleetPicture.load(session, today).meters();
    Map<MeterId, List<Integer>> byMeter = new LinkedHashMap<>();
    for (int i = 0; i < entries.size(); i++) {
      MeterDesk.Entry entry = entries.get(i);
      if (!meters.containsKey(entry.meterId())) {
        bad.add(new MeterDesk.Bad(i, new ReadingRefusal.UnknownMeter(entry.meterId())));
      } else if (entry.day().isAfter(today)) {
        bad.add(
            new MeterDesk.Bad(i, new ReadingRefusal.InFuture(entry.meterId(), entry.day(), today)));
      } else {
        byMeter.computeIfAbsent(entry.meterId(), id -> new ArrayList<>()).add(i);
      }
    }
    byMeter.forEach((id, places) -> judge(session, meters.get(id), entries, places));
    bad.sort(Comparator.comparing(MeterDesk.Bad::entry));
  }

  private void judge(
      Session session, MeterStanding meter, List<MeterDesk.Entry> entries, List<Integer> places) {
    List<NewReading> readings =
        places.stream()
            .map(entries::get)
            .map(entry -> new NewReading(entry.day(), Optional.empty(), entry.value()))
            .toList();
    List<JudgedReading> judged = FleetPicture.judged(session, meter).trying(readings);
    for (int i = 0; i < judged.size(); i++) {
      MeterDesk.Entry entry = entries.get(places.get(i));
      if (judged.get(i).accepted()) {
        good.add(entry);
      } else {
        bad.add(
            new MeterDesk.Bad(
                places.get(i), new ReadingRefusal.SetAside(entry.meterId(), judged.get(i))));
      }
    }
  }

  List<MeterDesk.Entry> good() {
    return good;
  }

  List<MeterDesk.Bad> bad() {
    return bad;
  }
}
