package org.tidyleaf.intake.rtf;

import java.nio.charset.StandardCharsets;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.source.Source;

/** Rich text (the RTF specification 1.9.1). */
public final class RtfFormat implements Format {

    @Override
    public String ending() {
        return "rtf";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        if (!text.startsWith("{\\rtf")) {
            throw new IntakeException.Unreadable(
                    name + " is no rich text, whatever its name says. Open it in the program it"
                            + " was made with and save it as .rtf or .docx.");
        }
        RtfWalker walker = new RtfWalker(text);
        walker.walk();
        return new Source(name, "rtf", walker.lines(), walker.figures(), walker.notes());
    }
}
