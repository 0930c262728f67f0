package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Measuring.Reading;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Properties;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Caliper readings of used parts. */
class MeasuringTest {

  private static Part part(String number, Family family, String... properties) {
    Properties all = Properties.NONE;
    for (String one : properties) {
      all = all.withWritten(one.split("=")[0], one.split("=")[1]);
    }
    return new Part(new PartId(1), "any", number, Optional.of(family), all);
  }

  private static final Part WASHER =
      part("Cu 14", Family.SEAL, "inner_diameter=14", "outer_diameter=18", "thickness=1.5");
  private static final Part RING =
      part("OR 68", Family.O_RING, "inner_diameter=68", "cross_section=3");
  private static final Part SMALL_RING =
      part("OR 6", Family.O_RING, "inner_diameter=6", "cross_section=2");
  private static final Part PLUG =
      part("CV 2", Family.DRAIN_PLUG, "thread=M14×1.5", "shank_length=18");

  @ParameterizedTest
  @CsvSource({
    "WASHER_ID, 13900, true",
    "WASHER_ID, 13899, false",
    "WASHER_ID, 14600, true",
    "WASHER_ID, 14601, false",
    "WASHER_OD, 17000, true",
    "WASHER_OD, 16999, false",
    "WASHER_OD, 18300, true",
    "WASHER_OD, 18301, false",
    "WASHER_THICKNESS, 1000, true",
    "WASHER_THICKNESS, 999, false",
    "WASHER_THICKNESS, 1800, true",
    "WASHER_THICKNESS, 1801, false"
  })
  void aWasher(Reading reading, long micrometres, boolean listed) {
    assertThat(Measuring.matches(List.of(WASHER), Map.of(reading, micrometres)))
        .hasSize(listed ? 1 : 0);
  }

  /** 4 % of a cord of 3 mm is 0.12; 2 % of 68 mm is 1.36; of 6 mm 0.2 mm is more than 2 %. */
  @ParameterizedTest
  @CsvSource({
    "RING_CORD, 3120, true, 68",
    "RING_CORD, 3121, false, 68",
    "RING_CORD, 2880, true, 68",
    "RING_ID, 69360, true, 68",
    "RING_ID, 69361, false, 68",
    "RING_ID, 6200, true, 6",
    "RING_ID, 6201, false, 6"
  })
  void aRing(Reading reading, long micrometres, boolean listed, int ring) {
    List<Part> rings = List.of(ring == 68 ? RING : SMALL_RING);
    assertThat(Measuring.matches(rings, Map.of(reading, micrometres))).hasSize(listed ? 1 : 0);
  }

  @ParameterizedTest
  @CsvSource({
    "PLUG_DIAMETER, 13500, true",
    "PLUG_DIAMETER, 13499, false",
    "PLUG_DIAMETER, 14100, true",
    "PLUG_DIAMETER, 14101, false",
    "PLUG_PITCH, 1500, true",
    "PLUG_PITCH, 1250, false",
    "PLUG_LENGTH, 21000, true",
    "PLUG_LENGTH, 14999, false"
  })
  void aPlug(Reading reading, long value, boolean listed) {
    assertThat(Measuring.matches(List.of(PLUG), Map.of(reading, value))).hasSize(listed ? 1 : 0);
  }

  /** A squeezed washer of 14.3 × 17.5: 0.3/0.6 + 0.5/1.0 = 1. */
  @Test
  void theDistanceIsASumOfShares() {
    Measuring.Match match =
        Measuring.matches(
                List.of(WASHER), Map.of(Reading.WASHER_ID, 14_300L, Reading.WASHER_OD, 17_500L))
            .get(0);
    assertThat(match.distance()).isEqualByComparingTo(BigDecimal.ONE);
    assertThat(match.differences())
        .containsEntry(Reading.WASHER_ID, 300L)
        .containsEntry(Reading.WASHER_OD, -500L);
  }

  @Test
  void nearestFirstThenByKey() {
    Part near = part("B 14.2", Family.SEAL, "inner_diameter=14.2");
    Part twin = part("A 14.2", Family.SEAL, "inner_diameter=14.2");
    List<Measuring.Match> found =
        Measuring.matches(List.of(WASHER, near, twin), Map.of(Reading.WASHER_ID, 14_250L));
    assertThat(found.stream().map(match -> match.part().number()))
        .containsExactly("A 14.2", "B 14.2", "Cu 14");
  }

  /** NPT tapers, so a caliper says nothing of it; G 1/2 is 20.96 mm over its threads. */
  @Test
  void pipeThreads() {
    Part npt = part("N 1", Family.DRAIN_PLUG, "thread=1/2 NPT");
    Part pipe = part("G 1", Family.DRAIN_PLUG, "thread=G 1/2");
    assertThat(Measuring.matches(List.of(npt, pipe), Map.of(Reading.PLUG_DIAMETER, 20_900L)))
        .extracting(match -> match.part().number())
        .containsExactly("G 1");
  }
}
