package dev.lonja.web.waste;

import dev.lonja.web.frame.State;
import java.util.List;

/** What pages show of waste. */
public final class WasteView {

  private WasteView() {}

  /** A container among the others. */
  public record Card(
      long id,
      String name,
      String stream,
      String drawing,
      String contents,
      String of,
      State state,
      String why) {}

  /**
   * A container by itself.
   *
   * @param notes what else is to be known
   */
  public record One(
      Card card,
      String kind,
      String unit,
      List<String> notes,
      List<Entry> entries,
      List<Proven> fetched) {}

  /** Something put in. */
  public record Entry(long id, String when, String quantity, String from, String tray) {}

  /**
   * A collection with what proves it.
   *
   * @param path where a certificate of it is sent
   * @param form the name of that form
   */
  public record Proven(String path, String form, Fetched fetched, List<Certificate> certificates) {}

  /**
   * What proves a collection.
   *
   * @param form the name of the form that withdraws it
   * @param withdrawn why it was kept in error; empty if it was not
   */
  public record Certificate(String path, String form, String words, String withdrawn) {}

  /** A collection. */
  public record Fetched(String when, String quantity, String carrier, String document) {}

  /**
   * What came back of a job and is in no container yet.
   *
   * @param form the name of its form
   */
  public record Open(
      String form,
      long tray,
      String number,
      String when,
      String kind,
      String words,
      String amount,
      List<Choice> into) {}

  /** Something to choose. */
  public record Choice(String value, String words) {}

  /** A stream as it is set up. */
  public record Stream(String name, String kind, String code, String limit) {}

  /** All of it. */
  public record Overview(
      List<Card> cards,
      List<Open> open,
      List<Stream> streams,
      List<Choice> kinds,
      List<Choice> choices,
      int year) {}

  /** A year by stream. */
  public record Year(int year, List<YearOfStream> streams) {}

  /** What became of a stream. */
  public record YearOfStream(
      String name, String code, String putIn, String fetched, List<Fetched> collections) {}
}
