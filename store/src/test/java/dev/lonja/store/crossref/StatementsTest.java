package dev.lonja.store.crossref;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.part.Properties;
import dev.lonja.core.part.Property;
import dev.lonja.core.statementlist.ListCheck;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Parts and statements of the second store. */
class StatementsTest {

  private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");

  @TempDir Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  private static Part part(Session session, String number) {
    return session.parts().byKey(PartKey.of(number).orElseThrow(), 5).get(0);
  }

  /** PL 4118-M was claimed for VM 22-1010, then forbidden, and the claim withdrawn. */
  @Test
  void whatWasWithdrawnIsKeptAndDoesNotCount() {
    store.read(
        session -> {
          Part asked = part(session, "VM 22-1010");
          assertThat(session.statements().standing(List.of(asked.id())))
              .extracting(Statement::kind)
              .containsExactly(
                  StatementKind.INTERCHANGE, StatementKind.REPLACES, StatementKind.NEVER);
          assertThat(session.statements().history(asked.id()))
              .hasSize(4)
              .filteredOn(line -> line.withdrawal().isPresent())
              .extracting(line -> line.withdrawal().orElseThrow().reason())
              .containsExactly("the veto stands");
          Candidates candidates =
              Candidates.of(
                  Neighbourhood.around(asked.id(), session.statements()),
                  Fitting.ANYWHERE,
                  session.rubbers().table(),
                  parts -> Map.of());
          // the height and gasket of both are not on file, so a person should look
          assertThat(candidates.others())
              .extracting(c -> c.part().number() + " " + c.verdict().words())
              .containsExactly("PL 4122-M check", "RV 1190-7 stopgap", "PL 4118-M does not fit");
          return true;
        });
  }

  @Test
  void aWithdrawalIsFinal() {
    store.write(
        session -> {
          assertThat(session.statements().withdraw(3, "again", "storekeeper", NOW)).isFalse();
          assertThat(session.statements().withdraw(1, "list recalled", "storekeeper", NOW))
              .isTrue();
          return true;
        });
    assertThatThrownBy(() -> Stores.tamper(store, "UPDATE statement SET note = 'other'"))
        .hasMessageContaining("statements are never changed");
    assertThatThrownBy(() -> Stores.tamper(store, "DELETE FROM withdrawal"))
        .hasMessageContaining("withdrawals are never deleted");
  }

  @Test
  void numbersAreFoundInEveryWay() {
    store.write(
        session -> {
          session.parts().add("Osmere", "O5-107", Optional.empty());
          session.parts().add("Osmere", "Å-22 10", Optional.empty());
          return true;
        });
    store.read(
        session -> {
          PartKey prefix = PartKey.of("VM2").orElseThrow();
          assertThat(session.parts().byKeyPrefix(prefix, 2))
              .extracting(Part::number)
              .containsExactly("VM 22-1000", "VM 22-1010");
          PartKey oily = PartKey.of("0S1O7").orElseThrow();
          assertThat(session.parts().byNearKey(oily, 5))
              .extracting(Part::number)
              .containsExactly("O5-107");
          PartKey slip = PartKey.of("VM 22-1001").orElseThrow();
          assertThat(session.parts().oneEditFrom(slip, 5, 9))
              .extracting(Part::number)
              .containsExactly("VM 22-1000", "VM 22-1010");
          PartKey swapped = PartKey.of("A2210").orElseThrow();
          assertThat(session.parts().oneEditFrom(swapped, 5, 9))
              .extracting(Part::number)
              .containsExactly("Å-22 10");
          assertThat(session.parts().byMake("VELDMARK", 99)).hasSizeGreaterThan(5);
          return true;
        });
  }

  @Test
  void whatIsRecordedOfAPartIsReplacedWhole() {
    PartId id = store.write(s -> s.parts().add("Pellam", "PL 1", Optional.empty()));
    Properties first = Properties.NONE.withWritten("height", "93").withWritten("use", "oil");
    Properties second = Properties.NONE.withWritten("height", "95.5");
    for (Properties properties : List.of(first, second)) {
      store.write(
          session -> {
            session.parts().record(id, Optional.of(Family.SPIN_ON_FILTER), properties);
            return true;
          });
    }
    Part part = store.read(session -> session.parts().byId(id)).orElseThrow();
    assertThat(part.properties()).isEqualTo(second);
    assertThat(part.properties().get(Property.USE)).isEmpty();
  }

  @Test
  void aStatementComesBackAsItWasMade() {
    PartId subject = store.write(s -> s.parts().add("Pellam", "PL 1", Optional.empty()));
    NewStatement made =
        new NewStatement(
            subject,
            StatementKind.REPLACES,
            new PartId(9),
            Source.MACHINE_MAKER,
            LocalDate.of(2026, 5, 1),
            Source.MACHINE_MAKER.confidence(),
            "since the new gasket");
    long id = store.write(s -> s.statements().add(made, "storekeeper", NOW));
    StatedLine line = store.read(session -> session.statements().byId(id)).orElseThrow();
    assertThat(line.statement()).usingRecursiveComparison().ignoringFields("id").isEqualTo(made);
    assertThat(line.actor()).isEqualTo("storekeeper");
  }

  /** 5,000 rows; the work is stopped when some thousand are written, and nothing of it stays. */
  @Test
  void aListThatIsCancelledLeavesNothing() throws IOException {
    StringBuilder csv = new StringBuilder("make,number,kind,other_make,other_number\r\n");
    for (int i = 0; i < 5_000; i++) {
      csv.append("Nortrap,NT ").append(i).append("-A,same,Pellam,PL ").append(i).append("-B\r\n");
    }
    Path file = Files.writeString(folder.resolve("list.csv"), csv);
    StatementList.Origin origin =
        new StatementList.Origin(Source.SUPPLIER, LocalDate.of(2026, 5, 1));
    ListCheck.Result checked =
        store.read(session -> session.statements().list().check(file, origin, rows -> {}));
    assertThat(checked.fresh()).hasSize(5_000);
    assertThat(checked.newParts()).hasSize(10_000);
    String before = store.read(session -> session.statements().lastOfEach());
    assertThatThrownBy(
            () ->
                store.write(
                    session -> {
                      session
                          .statements()
                          .list()
                          .write(
                              checked,
                              "storekeeper",
                              NOW,
                              rows -> {
                                if (rows > 1_000) {
                                  throw new CancellationException();
                                }
                              });
                      return true;
                    }))
        .isInstanceOf(CancellationException.class);
    assertThat(store.<String>read(session -> session.statements().lastOfEach())).isEqualTo(before);
  }

  /** FKM in mineral oil ships as yes; the store may say otherwise, or that it does not know. */
  @Test
  void theGuidanceOnRubbersIsEditable() {
    RubberTable.Pair pair = new RubberTable.Pair("FKM", "mineral oil");
    assertThat(guidance(pair)).contains(RubberTable.Guidance.YES);
    set(pair, Optional.of(RubberTable.Guidance.CHECK));
    assertThat(guidance(pair)).contains(RubberTable.Guidance.CHECK);
    set(pair, Optional.empty());
    assertThat(guidance(pair)).isEmpty();
    set(pair, Optional.of(RubberTable.Guidance.YES));
    assertThat(guidance(pair)).contains(RubberTable.Guidance.YES);
    Map<RubberTable.Pair, Optional<RubberTable.Guidance>> changes =
        store.read(session -> session.rubbers().changes());
    assertThat(changes).isEmpty();
  }

  private void set(RubberTable.Pair pair, Optional<RubberTable.Guidance> guidance) {
    store.write(
        session -> {
          session.rubbers().set(pair, guidance);
          return true;
        });
  }

  private Optional<RubberTable.Guidance> guidance(RubberTable.Pair pair) {
    return store.read(session -> session.rubbers().table().of(pair.rubber(), pair.fluid()));
  }
}
