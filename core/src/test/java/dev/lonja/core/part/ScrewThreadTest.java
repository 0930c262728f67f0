package dev.lonja.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Length;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Threads as people write them. */
class ScrewThreadTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "M20×1.5 | M20×1.5",
        "M20x1,5 | M20×1.5",
        "m 20 * 1.50 | M20×1.5",
        "M14-1.25 | M14×1.25",
        "M20 | M20",
        "3/4-16 UNF | 3/4-16 UN",
        "3/4\"-16 | 3/4-16 UN",
        "3/4 x 16 UN | 3/4-16 UN",
        "12/16-16 | 3/4-16 UN",
        "0.75-16 UNEF | 3/4-16 UN",
        "1 1/8-16 | 1 1/8-16 UN",
        "1-12 UNF | 1-12 UN",
        "G 1/2 | G 1/2",
        "BSPP 1/2 | G 1/2",
        "R1/4 | R 1/4",
        "1/2 NPT | 1/2 NPT",
        "NPT 1/2 | 1/2 NPT",
        "1/2-14 NPT | 1/2 NPT",
        "M20x1.5-6g | M20×1.5",
        "M20×1,5 6H/6g | M20×1.5",
        "M20-6g | M20",
        "3/4-16 UNF-2A | 3/4-16 UN",
        "G1/2 | G 1/2",
        "G 1/2 A | G 1/2",
        "G1/2A | G 1/2",
        "G1/2-14 | G 1/2",
        "Rc 3/8 | R 3/8",
        "1-11.5 NPT | 1 NPT"
      })
  void oneThreadInManyHands(String written, String shown) {
    assertThat(ScrewThread.parse(written).map(ScrewThread::display)).contains(shown);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "20",
        "M",
        "M0×1.5",
        "M20×0",
        "3/0-16",
        "3/4-0 UN",
        "thread",
        "M20×1.5×2",
        // no size in 64ths; left-hand; a pipe thread with the pitch of another size
        "1/3-16",
        "2/7 NPT",
        "M20×1.5 LH",
        "3/4-16 UNF LH",
        "G 1/2 LH",
        "G1/2-19",
        "3/4-11.5 NPT"
      })
  void namesNoThread(String written) {
    assertThat(ScrewThread.parse(written)).isEmpty();
  }

  @Test
  void whatIsShownReadsAsTheSame() {
    for (String written :
        new String[] {"M27x2", "13/16-16", "G 3/8", "R 1", "3/8 NPT", "1.0625-12"}) {
      ScrewThread thread = ScrewThread.parse(written).orElseThrow();
      assertThat(ScrewThread.parse(thread.display())).contains(thread);
    }
  }

  /** 3/4 in = 19.05 mm. */
  @Test
  void inchesAreExact() {
    assertThat(ScrewThread.parse("3/4-16").orElseThrow().diameter()).isEqualTo(new Length(19_050));
  }

  /** ISO 228-1: the major diameter of G 1/2 is 20.955 mm; the rules give 20.96. NPT tapers. */
  @Test
  void aPipeThreadHasItsOwnMajorDiameter() {
    assertThat(ScrewThread.parse("G 1/2").orElseThrow().major()).contains(new Length(20_960));
    assertThat(ScrewThread.parse("R 1").orElseThrow().major()).contains(new Length(33_250));
    assertThat(ScrewThread.parse("1/2 NPT").orElseThrow().major()).isEmpty();
    assertThat(ScrewThread.parse("M20×1.5").orElseThrow().major()).contains(new Length(20_000));
  }

  @Test
  void aMissingPitchStaysMissing() {
    assertThat(ScrewThread.parse("M20").orElseThrow().pitch()).isEqualTo(Optional.empty());
  }
}
