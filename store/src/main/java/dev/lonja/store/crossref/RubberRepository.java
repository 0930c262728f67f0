package dev.lonja.store.crossref;

import static dev.lonja.store.schema.Tables.RUBBER_FLUID;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.RubberTable.Guidance;
import dev.lonja.core.crossref.RubberTable.Pair;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jooq.DSLContext;

/** The guidance on rubbers and fluids that ships, and where this store departs from it. */
public final class RubberRepository {

  private static final String SHIPPED = "/dev/lonja/store/reference/rubber_fluids.csv";

  private final DSLContext context;

  public RubberRepository(DSLContext context) {
    this.context = context;
  }

  /** What holds here. */
  public RubberTable table() {
    Map<Pair, Guidance> entries = new HashMap<>(shipped().entries());
    changes()
        .forEach(
            (pair, guidance) ->
                guidance.ifPresentOrElse(
                    here -> entries.put(pair, here), () -> entries.remove(pair)));
    return new RubberTable(entries);
  }

  /** What ships with Lonja. */
  public static RubberTable shipped() {
    Map<Pair, Guidance> entries = new HashMap<>();
    try (Reader file =
            new InputStreamReader(
                Objects.requireNonNull(RubberRepository.class.getResourceAsStream(SHIPPED)),
                StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(file)) {
      for (NamedCsvRecord row : rows) {
        entries.put(
            new Pair(row.getField("rubber"), row.getField("fluid")),
            Guidance.valueOf(row.getField("guidance").toUpperCase(Locale.ROOT)));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new RubberTable(entries);
  }

  /** Where this store departs; an empty guidance says that the pair is unknown. */
  public Map<Pair, Optional<Guidance>> changes() {
    Map<Pair, Optional<Guidance>> changes = new HashMap<>();
    context
        .selectFrom(RUBBER_FLUID)
        .forEach(
            row ->
                changes.put(
                    new Pair(row.get(RUBBER_FLUID.RUBBER), row.get(RUBBER_FLUID.FLUID)),
                    Optional.ofNullable(row.get(RUBBER_FLUID.GUIDANCE)).map(Guidance::valueOf)));
    return changes;
  }

  /** Sets what holds here; what is as shipped needs no line of its own. */
  public void set(Pair pair, Optional<Guidance> guidance) {
    context
        .deleteFrom(RUBBER_FLUID)
        .where(RUBBER_FLUID.RUBBER.eq(pair.rubber()), RUBBER_FLUID.FLUID.eq(pair.fluid()))
        .execute();
    if (!shipped().of(pair.rubber(), pair.fluid()).equals(guidance)) {
      context
          .insertInto(RUBBER_FLUID)
          .set(RUBBER_FLUID.RUBBER, pair.rubber())
          .set(RUBBER_FLUID.FLUID, pair.fluid())
          .set(RUBBER_FLUID.GUIDANCE, guidance.map(Guidance::name).orElse(null))
          .execute();
    }
  }
}
