package dev.lonja.app.command;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.exchange.Verification;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(name = "verify", description = "Checks that the ledger and the keys agree.")
final class VerifyCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Override
  public Integer call() {
    try (LonjaStore store = data.open()) {
      List<Verification.Finding> findings =
          store.read(session -> session.verification().findings());
      findings.forEach(finding -> System.err.println(finding.table() + ": " + finding.text()));
      System.out.println(findings.isEmpty() ? "The store is sound" : findings.size() + " findings");
      return findings.isEmpty() ? 0 : 1;
    }
  }
}
