package org.tidyleaf.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands of the terminal: {@code tidyleaf read FILE}. */
@Command(
        name = "tidyleaf",
        subcommands = {ReadCommand.class, ConvertCommand.class, BenchCommand.class, LoadCommand.class},
        mixinStandardHelpOptions = true)
public final class Main {

    private Main() {}

    /** Exit code 0: all read; 1: a file could not be read; 2: the call's words are off. */
    public static void main(String[] arguments) {
        System.exit(new CommandLine(new Main())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .execute(arguments));
    }
}
