package dev.lonja.core.tank;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a tank holds up to a dip (rules §10). A dip is measured from the bottom; one above the
 * height is refused, since nothing can stand there.
 */
public sealed interface TankShape {

  /** The least and the most that a tank measures along any side, in millimetres. */
  int LEAST_MM = 10;

  int MOST_MM = 20_000;

  double CUBIC_MM_PER_LITRE = 1e6;

  /** What it is called where it is kept. */
  Kind kind();

  /** The kinds of shape. */
  enum Kind {
    UPRIGHT,
    BOX,
    LYING,
    LYING_WITH_HEADS,
    TABLE
  }

  /** How high the inside is, which is the highest dip. */
  Length height();

  /** What it holds up to a dip in millimetres, from 0 to the height, in litres. */
  double litresAt(double millimetres);

  /** Litres a millimetre at a dip in millimetres, from 0 to the height. */
  double litresPerMillimetre(double millimetres);

  /** The largest that {@link #litresPerMillimetre} comes to. */
  double mostPerMillimetre();

  /**
   * What it holds up to a dip, to the microlitre.
   *
   * @throws IllegalArgumentException for a dip above the height
   */
  default Volume volumeAt(Length dip) {
    if (dip.compareTo(height()) > 0) {
      throw new IllegalArgumentException(
          "dip is " + dip.display() + "; allowed is 0 to " + height().display());
    }
    return Volume.ofLitres(BigDecimal.valueOf(Math.max(0, litresAt(millimetres(dip)))));
  }

  /** What it holds when it is full to the brim. */
  default Volume full() {
    return volumeAt(height());
  }

  /**
   * Litres a millimetre at a dip, by which an error of the dip becomes one of the volume; a tenth
   * of the largest at least, since near the ends of a lying tank a dip would else seem exact.
   */
  default double steepness(Length dip) {
    return Math.max(litresPerMillimetre(millimetres(dip)), mostPerMillimetre() / 10);
  }

  /** The dip at which it holds so much, to the micrometre; the height if it never does. */
  default Length dipOf(Volume volume) {
    long low = 0;
    long high = height().micrometres();
    while (low < high) {
      long middle = (low + high) / 2;
      if (volumeAt(new Length(middle)).compareTo(volume) < 0) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return new Length(low);
  }

  private static double millimetres(Length length) {
    return length.micrometres() / 1_000.0;
  }

  private static void check(String name, Length length) {
    double millimetres = millimetres(length);
    if (millimetres < LEAST_MM || millimetres > MOST_MM) {
      throw new IllegalArgumentException(
          name + " is " + length.display() + "; allowed is " + LEAST_MM + " to " + MOST_MM + " mm");
    }
  }

  /** A standing cylinder with a flat bottom: π r² h. */
  record Upright(Length diameter, Length height) implements TankShape {

    public Upright {
      check("diameter", diameter);
      check("height", height);
    }

    @Override
    public Kind kind() {
      return Kind.UPRIGHT;
    }

    @Override
    public double litresAt(double millimetres) {
      return mostPerMillimetre() * millimetres;
    }

    @Override
    public double litresPerMillimetre(double millimetres) {
      return mostPerMillimetre();
    }

    @Override
    public double mostPerMillimetre() {
      double radius = millimetres(diameter) / 2;
      return Math.PI * radius * radius / CUBIC_MM_PER_LITRE;
    }
  }

  /** A box: w · l · h. */
  record Box(Length length, Length width, Length height) implements TankShape {

    public Box {
      check("length", length);
      check("width", width);
      check("height", height);
    }

    @Override
    public Kind kind() {
      return Kind.BOX;
    }

    @Override
    public double litresAt(double millimetres) {
      return mostPerMillimetre() * millimetres;
    }

    @Override
    public double litresPerMillimetre(double millimetres) {
      return mostPerMillimetre();
    }

    @Override
    public double mostPerMillimetre() {
      return millimetres(length) * millimetres(width) / CUBIC_MM_PER_LITRE;
    }
  }

  /**
   * A lying cylinder: L·(r²·acos((r−h)/r) − (r−h)·√(2rh−h²)), with two 2:1 elliptical heads of the
   * depth a = D/4 also (π a / r)·h²·(r − h/3).
   *
   * @param length of the cylinder, without the heads
   */
  record Lying(Length length, Length diameter, boolean ellipticalHeads) implements TankShape {

    public Lying {
      check("length", length);
      check("diameter", diameter);
    }

    @Override
    public Kind kind() {
      return ellipticalHeads ? Kind.LYING_WITH_HEADS : Kind.LYING;
    }

    @Override
    public Length height() {
      return diameter;
    }

    @Override
    public double litresAt(double millimetres) {
      double r = radius();
      double h = Math.min(millimetres, 2 * r);
      double root = Math.sqrt(Math.max(0, 2 * r * h - h * h));
      double cylinder = millimetres(length) * (r * r * Math.acos((r - h) / r) - (r - h) * root);
      double heads = ellipticalHeads ? headFactor() * h * h * (r - h / 3) : 0;
      return (cylinder + heads) / CUBIC_MM_PER_LITRE;
    }

    @Override
    public double litresPerMillimetre(double millimetres) {
      double r = radius();
      double h = Math.min(millimetres, 2 * r);
      double chord = Math.max(0, 2 * r * h - h * h);
      double heads = ellipticalHeads ? headFactor() * chord : 0;
      return (millimetres(length) * 2 * Math.sqrt(chord) + heads) / CUBIC_MM_PER_LITRE;
    }

    /** At half height. */
    @Override
    public double mostPerMillimetre() {
      return litresPerMillimetre(radius());
    }

    private double radius() {
      return millimetres(diameter) / 2;
    }

    /** π a / r, which is π / 2 whatever the diameter. */
    private static double headFactor() {
      return Math.PI / 2;
    }
  }

  /**
   * A strapping table, interpolated linearly.
   *
   * @param straps from the bottom, with a dip of 0 first; both dip and volume rise strictly
   */
  record Table(List<Strap> straps) implements TankShape {

    /** The most lines that a table has. */
    public static final int MOST_STRAPS = 1_000;

    private static final Pattern LINE =
        Pattern.compile("([0-9]{1,5}(?:\\.[0-9]{1,3})?)\\s+([0-9]{1,6}(?:\\.[0-9]{1,6})?)");

    public Table {
      straps = List.copyOf(straps);
      if (straps.size() < 2 || straps.size() > MOST_STRAPS) {
        throw new IllegalArgumentException(
            "a table has " + straps.size() + " lines; allowed is 2 to " + MOST_STRAPS);
      }
      if (straps.get(0).dip().micrometres() != 0) {
        throw new IllegalArgumentException("a table starts at a dip of 0");
      }
      checkRise(straps);
      check("height", straps.get(straps.size() - 1).dip());
    }

    /**
     * Reads dips in mm and litres, "0 0; 100 42.5; 200 91": lines or semicolons between, each with
     * a space.
     *
     * @throws IllegalArgumentException with the line that is wrong and what is allowed
     */
    public static Table of(String text) {
      List<Strap> straps = new ArrayList<>();
      for (String line : text.strip().split("\\s*[;\\n]\\s*")) {
        Matcher matcher = LINE.matcher(line.strip());
        if (!matcher.matches()) {
          throw new IllegalArgumentException(
              "line "
                  + (straps.size() + 1)
                  + " is \""
                  + line.strip()
                  + "\"; allowed is a dip in"
                  + " mm and litres, as \"100 42.5\"");
        }
        straps.add(
            new Strap(
                Length.ofMillimetres(new BigDecimal(matcher.group(1))),
                Volume.ofLitres(matcher.group(2))));
      }
      return new Table(straps);
    }

    /** In one line, as {@link #of} reads it. */
    public String written() {
      return straps.stream()
          .map(strap -> strap.dip().exactText() + " " + strap.volume().exactText())
          .collect(Collectors.joining("; "));
    }

    private static void checkRise(List<Strap> straps) {
      for (int i = 1; i < straps.size(); i++) {
        Strap below = straps.get(i - 1);
        Strap here = straps.get(i);
        if (here.dip().compareTo(below.dip()) <= 0
            || here.volume().compareTo(below.volume()) <= 0) {
          throw new IllegalArgumentException(
              "line "
                  + (i + 1)
                  + " does not rise: "
                  + here.display()
                  + " after "
                  + below.display());
        }
      }
    }

    @Override
    public Kind kind() {
      return Kind.TABLE;
    }

    @Override
    public Length height() {
      return straps.get(straps.size() - 1).dip();
    }

    @Override
    public double litresAt(double millimetres) {
      int piece = pieceAt(millimetres);
      Strap below = straps.get(piece);
      return litres(below) + (millimetres - millimetres(below.dip())) * slope(piece);
    }

    /** At a knot that of the steeper piece. */
    @Override
    public double litresPerMillimetre(double millimetres) {
      int piece = pieceAt(millimetres);
      double slope = slope(piece);
      boolean knotBelow = millimetres == millimetres(straps.get(piece).dip());
      if (knotBelow && piece > 0) {
        slope = Math.max(slope, slope(piece - 1));
      }
      return slope;
    }

    @Override
    public double mostPerMillimetre() {
      double most = 0;
      for (int piece = 0; piece < straps.size() - 1; piece++) {
        most = Math.max(most, slope(piece));
      }
      return most;
    }

    /** The piece that a dip lies in, the upper one at a knot, the last at the brim. */
    private int pieceAt(double millimetres) {
      double[] dips = straps.stream().mapToDouble(s -> millimetres(s.dip())).toArray();
      int found = Arrays.binarySearch(dips, millimetres);
      int piece = found >= 0 ? found : -found - 2;
      return Math.max(0, Math.min(piece, straps.size() - 2));
    }

    private double slope(int piece) {
      Strap below = straps.get(piece);
      Strap above = straps.get(piece + 1);
      return (litres(above) - litres(below))
          / (millimetres(above.dip()) - millimetres(below.dip()));
    }

    private static double litres(Strap strap) {
      return strap.volume().litres().doubleValue();
    }
  }

  /** A line of a strapping table: up to this dip it holds so much. */
  record Strap(Length dip, Volume volume) {
    private String display() {
      return volume.display() + " at " + dip.display();
    }
  }
}
