package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;

/** The files that a test is printed from. */
public enum Paper {
    DOCX(".docx", "application/vnd.openxmlformats-officedocument.wordprocessingml.document"),
    ODT(".odt", "application/vnd.oasis.opendocument.text"),
    PDF(".pdf", "application/pdf");

    private final String ending;
    private final String mediaType;

    Paper(String ending, String mediaType) {
        this.ending = ending;
        this.mediaType = mediaType;
    }

    /** With its dot. */
    public String ending() {
        return ending;
    }

    public String mediaType() {
        return mediaType;
    }

    /** @param out where the document goes, in part already while it is written; left open */
    PrintDocument document(String title, OutputStream out) throws IOException {
        return switch (this) {
            case DOCX -> new WordDocument(out);
            case ODT -> new OpenDocument(out);
            case PDF -> new PdfDocument(title, out);
        };
    }
}
