package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreFiles;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ExchangeTest {

  @TempDir private Path folder;
  private Map<String, String> files;

  @BeforeEach
  void readTheExample() throws IOException {
    files = new TreeMap<>();
    try (var list = Files.list(Stores.EXAMPLE)) {
      for (Path file : list.toList()) {
        files.put(file.getFileName().toString(), Files.readString(file));
      }
    }
  }

  @Test
  void exportsToTheBytesThatWereImported() {
    try (LonjaStore store = Stores.example(folder)) {
      assertThat(store.<Map<String, String>>read(session -> session.exchange().files()))
          .containsExactlyInAnyOrderEntriesOf(files);
    }
  }

  @Test
  void anEmptyStoreRoundTripsToo() {
    Map<String, String> empty;
    try (LonjaStore store = LonjaStore.open(folder.resolve("empty.db"))) {
      empty = store.read(session -> session.exchange().files());
    }
    try (LonjaStore store = LonjaStore.open(folder.resolve("again.db"))) {
      assertThat(
              store.<List<ExchangeProblem>>write(session -> session.exchange().importTexts(empty)))
          .isEmpty();
      assertThat(store.<Map<String, String>>read(session -> session.exchange().files()))
          .isEqualTo(empty);
    }
  }

  /** A Data Package whose resources, fields and foreign keys all lead somewhere. */
  @Test
  void theDescriptionMatchesTheFiles() {
    JsonNode root = JsonMapper.builder().build().readTree(files.get("datapackage.json"));
    assertThat(root.get("profile").asString()).isEqualTo("tabular-data-package");
    assertThat(root.get("resources").size()).isEqualTo(ExchangeTables.ALL.size());
    for (JsonNode resource : root.get("resources")) {
      String path = resource.get("path").asString();
      List<String> fields =
          resource
              .get("schema")
              .get("fields")
              .valueStream()
              .map(field -> field.get("name").asString())
              .toList();
      String header = files.get(path).lines().findFirst().orElseThrow();
      assertThat(header).as(path).isEqualTo(String.join(",", fields));
    }
  }

  /** Three bad rows in two files are all named, with line, column, value and what is allowed. */
  @Test
  void namesEveryBadRow() throws IOException {
    edit("items.csv", text -> text.replaceFirst(",L,1,205,", ",lb,1,zwei,"));
    edit("units.csv", text -> text.replaceFirst("2022-05-02", "2022-02-30"));
    assertThat(problems())
        .containsExactlyInAnyOrder(
            "items.csv line 2, column unit: \"lb\"; allowed is one of pc, L, kg",
            "items.csv line 2, column pack: \"zwei\"; allowed is a number with a decimal point,"
                + " from 0.000001 to 100000, at most 6 decimals, or nothing",
            "units.csv line 2, column in_service_on: \"2022-02-30\"; allowed is a date as"
                + " YYYY-MM-DD, from 1900-01-01 to 2199-12-31");
  }

  @Test
  void aCommaIsNoDecimalPoint() throws IOException {
    edit("capacities.csv", text -> text.replaceFirst(",14\\.2,\r\n", ",\"14,2\",\r\n"));
    assertThat(problems().get(0)).startsWith("capacities.csv line 2, column volume_l: \"14,2\";");
  }

  @Test
  void aKeyThatOccursTwiceIsNamedWithTheLineThatHasIt() throws IOException {
    edit("bins.csv", text -> text + "1,Z-01,990,\r\n13,K-01,991,\r\n");
    assertThat(problems())
        .containsExactly(
            "bins.csv line 14, column id: \"1\"; allowed is each only once; line 2 has it already",
            "bins.csv line 15, column address: \"K-01\"; allowed is each only once; line 2 has it"
                + " already");
  }

  @Test
  void aReferenceThatLeadsNowhereIsNamed() throws IOException {
    edit("meters.csv", text -> text + "99,77,hours,h,0,\r\n");
    assertThat(problems())
        .containsExactly(
            "meters.csv line 13, column unit_id: \"77\"; allowed is the key of a row of units.csv");
  }

  /** The first movement books a lot of item 1 in the example; item 2 has none of that number. */
  @Test
  void aLotOfAnotherItemIsNamed() throws IOException {
    edit("movements.csv", text -> text.replaceFirst("\r\n1,1,1,", "\r\n1,2,1,"));
    assertThat(problems())
        .containsExactly(
            "movements.csv line 2, column item_id + lot_id: \"2 + 1\"; allowed is item_id + id of"
                + " one row of lots.csv");
  }

  @Test
  void rulesWithinARowAreChecked() throws IOException {
    edit(
        "tasks.csv",
        text -> text + "900,1,Nothing,inspect,,,,,,,,0.5,,,,,false,false,,,,length,2,1\r\n");
    assertThat(problems())
        .anyMatch(p -> p.contains("column compartment_id") && p.contains("for inspect where"))
        .anyMatch(p -> p.contains("column value_kind") && p.contains("low is not above high"))
        .anyMatch(p -> p.contains("column interval_months") && p.contains("filled where"))
        .anyMatch(p -> p.contains("column severity_reason") && p.contains("below 1"));
  }

  @Test
  void missingFilesStrangeHeadersAndShortRowsAreNamed() throws IOException {
    files.remove("lots.csv");
    edit("bins.csv", text -> text.replace("walk_order", "order"));
    edit("people.csv", text -> text + "3,someone\r\n");
    assertThat(problems())
        .containsExactlyInAnyOrder(
            "lots.csv: \"missing file\"; allowed is a file of that name",
            "bins.csv line 1: \"id,address,order,satellite_id\"; allowed is"
                + " id,address,walk_order,satellite_id",
            "people.csv line 4: \"2 cells\"; allowed is 3 cells");
  }

  @Test
  void wrongEncodingIsNamedWithItsLine() throws IOException {
    write();
    byte[] latin =
        "id,address,walk_order,satellite_id\r\n1,A-01,1,\r\n2,Ã\u00e9,2\r\n"
            .getBytes(StandardCharsets.ISO_8859_1);
    Files.write(in().resolve("bins.csv"), latin);
    assertThat(load())
        .containsExactly("bins.csv line 3: \"bytes that are not UTF-8\"; allowed is text in UTF-8");
  }

  @Test
  void aByteOrderMarkIsPassedOver() throws IOException {
    edit("bins.csv", text -> "\uFEFF" + text);
    assertThat(problems()).isEmpty();
  }

  @Test
  void brokenQuotesAreNamed() throws IOException {
    edit("bins.csv", text -> text + "13,\"Z-01,990\r\n");
    assertThat(problems()).anyMatch(p -> p.startsWith("bins.csv"));
  }

  /** Rows that are right one by one may still disagree: here more goes out than ever came in. */
  @Test
  void stockBelowZeroIsRefused() throws IOException {
    edit("movements.csv", text -> text.replaceFirst(",issue,-13\\.3,", ",issue,-1330,"));
    assertThat(problems()).isNotEmpty().allMatch(p -> p.startsWith("movements.csv"));
  }

  /** Another variant's compartment, a fluid for a position, eleven months: named by the check. */
  @Test
  void dataThatDisagreeAreRefused() throws IOException {
    edit("class_months.csv", text -> text.replaceFirst("36,3,12,1\r\n", ""));
    edit(
        "positions.csv",
        text -> text.replaceFirst("1,1,1,Port oil filter", "1,1,6,Port oil filter"));
    edit(
        "compartments.csv",
        text -> text.replaceFirst("engine,1,,engine_oil", "engine,8,,engine_oil"));
    assertThat(problems())
        .anyMatch(p -> p.contains("needs twelve factors with mean 1"))
        .anyMatch(p -> p.contains("position 1 refers to another variant's compartment"))
        .anyMatch(p -> p.contains("compartment 1 is to take pieces"));
  }

  /**
   * Another question's school; a number where none is needed, none where one is, one too small; two
   * holders; one that the question is not asked of; the same twice.
   */
  @Test
  void aPolicyIsOneAnswerToItsQuestion() throws IOException {
    edit(
        "policies.csv",
        text ->
            text
                + String.join(
                    "\r\n",
                    "3,air_filter,,,,,new_seal,",
                    "4,first_pour,,,,,hold_back,2",
                    "5,air_filter,1,,,,every_nth,",
                    "6,air_filter,,1,,,every_nth,1",
                    "7,first_pour,1,1,,,hold_back,",
                    "8,service_interval,,,1,,by_severity,",
                    "9,drain_seal,,,,,reuse_sound_seal,",
                    ""));
    assertThat(problems())
        .anyMatch(p -> p.contains("line 4, column school") && p.contains("question's schools"))
        .anyMatch(p -> p.contains("line 5, column number"))
        .anyMatch(p -> p.contains("line 6, column number"))
        .anyMatch(p -> p.contains("line 7, column number"))
        .anyMatch(p -> p.contains("line 8, column position_id") && p.contains("one holder"))
        .anyMatch(p -> p.contains("line 9, column position_id"))
        .anyMatch(p -> p.contains("line 10") && p.contains("question"));
  }

  /** Position 2 is a drain seal's; it has nothing to say of air filters. */
  @Test
  void aPositionAnswersOnlyWhatIsAboutIt() throws IOException {
    edit("policies.csv", text -> text + "3,air_filter,,,,2,every_service,\r\n");
    assertThat(problems())
        .anyMatch(p -> p.contains("3 is for a position of a kind that its question is not about"));
  }

  /** Task 5 comes with every second of task 6, and that one with every second of task 4. */
  @Test
  void aTaskThatIsLedLeadsNone() throws IOException {
    edit("tasks.csv", text -> ledBy(ledBy(text, 5, 6), 6, 4));
    assertThat(problems())
        .containsExactly(
            "tasks.csv line 6, column with_task_id: \"6\"; allowed is a row whose with_task_id is"
                + " empty");
  }

  /** The row of a task with its interval taken out and another task that leads it. */
  private static String ledBy(String text, int task, int lead) {
    return text.lines()
        .map(
            line -> {
              String[] cells = line.split(",", -1);
              if (!cells[0].equals(String.valueOf(task))) {
                return line;
              }
              for (int cell = 6; cell <= 10; cell++) {
                cells[cell] = "";
              }
              cells[13] = String.valueOf(lead);
              cells[14] = "2";
              return String.join(",", cells);
            })
        .collect(Collectors.joining("\r\n", "", "\r\n"));
  }

  @Test
  void nothingIsLeftOfARefusedImport() throws IOException {
    edit("units.csv", text -> text.replaceFirst("2022-05-02", "yesterday"));
    assertThat(problems()).hasSize(1);
    assertThat(folder.resolve("lonja.db")).doesNotExist();
    assertThat(folder.resolve("lonja.db.incoming")).doesNotExist();
  }

  @Test
  void aStoreThatIsThereIsNotReplacedUnasked() throws IOException {
    assertThat(problems()).isEmpty();
    assertThat(load())
        .singleElement()
        .asString()
        .contains("a store that is there already", "--replace");
  }

  @Test
  void anImportBrokenHalfwayLeavesTheOldStoreAsItWas() throws IOException {
    assertThat(problems()).isEmpty();
    byte[] before = Files.readAllBytes(folder.resolve("lonja.db"));
    edit("units.csv", text -> text.replaceFirst("2022-05-02", "yesterday"));
    write();
    assertThat(StoreFiles.load(in(), folder.resolve("lonja.db"), true, session -> {})).hasSize(1);
    assertThat(Files.readAllBytes(folder.resolve("lonja.db"))).isEqualTo(before);
  }

  private void edit(String name, UnaryOperator<String> change) {
    String before = files.get(name);
    String after = change.apply(before);
    assertThat(after).as("the edit of %s", name).isNotEqualTo(before);
    files.put(name, after);
  }

  private List<String> problems() throws IOException {
    write();
    return load();
  }

  private List<String> load() {
    return StoreFiles.load(in(), folder.resolve("lonja.db"), false, session -> {}).stream()
        .map(ExchangeProblem::display)
        .toList();
  }

  private void write() throws IOException {
    Files.createDirectories(in());
    for (Map.Entry<String, String> file : files.entrySet()) {
      Files.writeString(in().resolve(file.getKey()), file.getValue());
    }
  }

  private Path in() {
    return folder.resolve("in");
  }
}
