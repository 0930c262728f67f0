package dev.lonja.store.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/**
 * Reads the files of an exchange from a folder or a zip, within limits that a real store does not
 * meet: only plain names of CSV and JSON files, at most 128 of them and 512 MiB unpacked, and no
 * zip that unpacks to more than 200 times its size. Text must be UTF-8; a byte-order mark is passed
 * over.
 */
final class ExchangeFiles {

  private static final Pattern NAME = Pattern.compile("[a-z_]{1,40}\\.(csv|json)");
  private static final int MOST_FILES = 128;
  private static final long MOST_BYTES = 512L << 20;
  private static final long MOST_RATIO = 200;
  private static final int BUFFER = 1 << 16;

  private final Map<String, String> texts = new TreeMap<>();
  private final List<ExchangeProblem> problems = new ArrayList<>();
  private long bytesLeft = MOST_BYTES;

  private ExchangeFiles() {}

  static ExchangeFiles read(Path source) {
    ExchangeFiles files = new ExchangeFiles();
    if (Files.isDirectory(source)) {
      files.readFolder(source);
    } else if (Files.isRegularFile(source)) {
      files.readZip(source);
    } else {
      files.refuse(source.toString(), "nothing there", "a folder or a zip file");
    }
    return files;
  }

  Map<String, String> texts() {
    return texts;
  }

  List<ExchangeProblem> problems() {
    return problems;
  }

  private void readFolder(Path folder) {
    try (var entries = Files.list(folder)) {
      for (Path file : entries.filter(Files::isRegularFile).sorted().toList()) {
        String name = file.getFileName().toString();
        if (NAME.matcher(name).matches()) {
          try (InputStream in = Files.newInputStream(file)) {
            add(name, in, MOST_BYTES);
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + folder, e);
    }
  }

  private void readZip(Path zip) {
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
      long most = Math.min(MOST_BYTES, Math.max(1, Files.size(zip)) * MOST_RATIO);
      bytesLeft = most;
      int count = 0;
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        count++;
        if (count > MOST_FILES) {
          refuse(zip.getFileName().toString(), count + " files", "at most " + MOST_FILES);
          return;
        }
        if (!NAME.matcher(entry.getName()).matches()) {
          refuse(entry.getName(), entry.getName(), "a plain file name such as items.csv");
          return;
        }
        if (!add(entry.getName(), in, most)) {
          return;
        }
      }
      if (count == 0) {
        refuse(zip.getFileName().toString(), "not a zip, or empty", "a zip of CSV files");
      }
    } catch (ZipException e) {
      refuse(zip.getFileName().toString(), "broken zip: " + e.getMessage(), "a whole zip file");
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + zip, e);
    }
  }

  /** Returns false once the limit on bytes is passed; nothing more is read then. */
  private boolean add(String name, InputStream in, long most) throws IOException {
    java.io.ByteArrayOutputStream bytes = new java.io.ByteArrayOutputStream();
    byte[] buffer = new byte[BUFFER];
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      bytesLeft -= n;
      if (bytesLeft < 0) {
        refuse(name, "unpacks to more than " + most + " bytes", "less than that in all");
        return false;
      }
      bytes.write(buffer, 0, n);
    }
    decode(name, bytes.toByteArray());
    return true;
  }

  private void decode(String name, byte[] bytes) {
    CharsetDecoder decoder =
        StandardCharsets.UTF_8
            .newDecoder()
            .onMalformedInput(CodingErrorAction.REPORT)
            .onUnmappableCharacter(CodingErrorAction.REPORT);
    ByteBuffer input = ByteBuffer.wrap(bytes);
    try {
      String text = decoder.decode(input).toString();
      texts.put(name, text.startsWith("\uFEFF") ? text.substring(1) : text);
    } catch (CharacterCodingException e) {
      long line = 1;
      for (int i = 0; i < input.position(); i++) {
        line += bytes[i] == '\n' ? 1 : 0;
      }
      problems.add(
          new ExchangeProblem(name, line, "", "bytes that are not UTF-8", "text in UTF-8"));
    }
  }

  private void refuse(String file, String value, String allowed) {
    problems.add(new ExchangeProblem(file, 0, "", value, allowed));
  }
}
