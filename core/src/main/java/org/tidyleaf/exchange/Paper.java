package org.tidyleaf.exchange;

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

    PrintDocument document(String title) {
        return switch (this) {
            case DOCX -> new WordDocument();
            case ODT -> new OpenDocument();
            case PDF -> new PdfDocument(title);
        };
    }
}
