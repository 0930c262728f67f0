package dev.lonja.app.command;

import de.siegmar.fastcsv.writer.CsvWriter;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.io.StringWriter;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "forecast", description = "Prints the expected use of every item by ISO week.")
final class ForecastCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Option(
      names = "--weeks",
      defaultValue = "26",
      description = "weeks ahead, this one included (default: ${DEFAULT-VALUE})")
  private int weeks;

  @Option(
      names = "--format",
      defaultValue = "csv",
      description = "how to print it: ${COMPLETION-CANDIDATES} (default: ${DEFAULT-VALUE})")
  private Format format = Format.csv;

  @Option(names = "--today", paramLabel = "YYYY-MM-DD", description = "counts from another day")
  private @Nullable LocalDate today;

  /** How the forecast can be printed. */
  enum Format {
    csv
  }

  @Override
  public Integer call() {
    if (weeks < 1 || weeks > PlanLine.MOST_WEEKS) {
      System.err.println("--weeks is " + weeks + "; allowed is 1 to " + PlanLine.MOST_WEEKS);
      return 2;
    }
    try (LonjaStore store = data.openToRead()) {
      String text = store.read(session -> csv(Forecast.load(session, day(session), weeks)));
      System.out.print(text);
    }
    return 0;
  }

  private LocalDate day(dev.lonja.store.Session session) {
    return today == null ? LocalDate.now(session.settings().timeZone()) : today;
  }

  private static String csv(Forecast forecast) {
    Map<ItemId, TreeMap<IsoWeek, Quantity>> totals = forecast.plan().totals();
    List<Item> items =
        forecast.subjects().stream().flatMap(subject -> subject.items().stream()).toList();
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(text)) {
      csv.writeRecord("make", "number", "week", "quantity", "unit");
      for (Item item : items) {
        for (Map.Entry<IsoWeek, Quantity> week :
            totals.getOrDefault(item.id(), new TreeMap<>()).entrySet()) {
          csv.writeRecord(
              item.make(),
              item.number(),
              week.getKey().display(),
              week.getValue().exactText(),
              item.measure().symbol());
        }
      }
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return text.toString();
  }
}
