package dev.lonja.app.command;

import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

@Command(
    name = "verify",
    description = "Checks that the file, the ledger and the keys agree; writes nothing.")
final class VerifyCommand implements Callable<Integer> {

  @Mixin private DataOption data = new DataOption();

  @Override
  public Integer call() {
    List<StoreFault> faults = StoreCheck.whole(data.existing());
    FaultWording.lines(faults).forEach(System.err::println);
    if (faults.isEmpty()) {
      System.out.println("The store is sound");
      return 0;
    }
    System.out.println(faults.size() + " findings");
    System.err.println(FaultWording.advice(data.database()));
    return 1;
  }
}
