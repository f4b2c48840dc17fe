package org.tidyleaf.intake.common;

import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.source.Source;

/** One kind of file. Implementations keep no state and may be used by many threads. */
public interface Format {

    /** The lower-case file name ending without its dot. */
    String ending();

    /** Reads the whole file; never touches the network or other files. */
    Source read(String name, byte[] bytes) throws IntakeException;
}
