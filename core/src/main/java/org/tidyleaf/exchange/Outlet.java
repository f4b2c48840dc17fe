package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Settings;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/** Every format that a test goes out in: how it is written, and what of a test it can't hold. */
public enum Outlet {
    QTI3(".qti3.zip", "application/zip"),
    QTI21(".qti21.zip", "application/zip"),
    CARTRIDGE(".imscc", "application/zip"),
    DOCX(Paper.DOCX, false),
    DOCX_KEYED(Paper.DOCX, true),
    ODT(Paper.ODT, false),
    ODT_KEYED(Paper.ODT, true),
    PDF(Paper.PDF, false),
    PDF_KEYED(Paper.PDF, true),
    XLSX(".xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
    CSV(".csv", "text/csv;charset=UTF-8"),
    TEXT(".txt", "text/plain;charset=UTF-8"),
    MARKDOWN(".md", "text/markdown;charset=UTF-8"),
    JSON(".json", "application/json");

    private static final String WITH_KEY = " with key";

    private final String ending;
    private final String mediaType;

    Outlet(String ending, String mediaType) {
        this.ending = ending;
        this.mediaType = mediaType;
    }

    Outlet(Paper paper, boolean keyed) {
        this((keyed ? WITH_KEY : "") + paper.ending(), paper.mediaType());
    }

    /** What a file name ends with, " with key" before the dot where it holds the key. */
    public String ending() {
        return ending;
    }

    public String mediaType() {
        return mediaType;
    }

    /**
     * Writes the test and leaves the stream open. The same test gives the same bytes.
     *
     * @param figures gives a picture by its id; one that is not there is left out
     */
    public void write(Quiz quiz, Function<String, Optional<Figure>> figures, OutputStream out) throws IOException {
        switch (this) {
            case QTI3 -> QtiPackage.write(QtiPackage.Version.V30, quiz, figures, out);
            case QTI21 -> QtiPackage.write(QtiPackage.Version.V21, quiz, figures, out);
            case CARTRIDGE -> CartridgePackage.write(quiz, figures, out);
            case DOCX, DOCX_KEYED -> PrintedTest.write(Paper.DOCX, quiz, isKeyed(), figures, out);
            case ODT, ODT_KEYED -> PrintedTest.write(Paper.ODT, quiz, isKeyed(), figures, out);
            case PDF, PDF_KEYED -> PrintedTest.write(Paper.PDF, quiz, isKeyed(), figures, out);
            case XLSX -> SheetBook.write(quiz, out);
            case CSV -> text("\uFEFF" + Sheet.write(quiz), out);
            case TEXT -> text(PlainTest.write(quiz, true), out);
            case MARKDOWN -> text(PlainTest.markdown(quiz, true), out);
            case JSON -> TestJson.write(quiz, figures, out);
        }
    }

    private boolean isKeyed() {
        return ending.startsWith(WITH_KEY);
    }

    private static void text(String text, OutputStream out) throws IOException {
        out.write(text.getBytes(StandardCharsets.UTF_8));
    }

    /** What of this test the format can't hold as it is, in words for the teacher; empty where it holds all. */
    public List<String> remarks(Quiz quiz) {
        List<String> remarks = new ArrayList<>(ofContent(quiz));
        List<Settings> settings = quiz.questions().stream()
                .map(question -> question.particulars().settings())
                .toList();
        if (this != QTI3 && this != QTI21 && this != JSON) {
            said(remarks, settings, one -> one.required(), "that it must be answered");
            said(remarks, settings, one -> one.order() != OptionOrder.USUAL, "an order of options of its own");
            said(remarks, settings, one -> one.partial().isPresent(), "marks for part of it");
            said(remarks, settings, one -> !one.words().areNone(), "how many words to write");
        } else if (this != JSON) {
            long orders = settings.stream()
                    .filter(one -> one.partial().equals(Optional.of(PartialMarks.NEIGHBOURS)))
                    .count();
            if (orders > 0) {
                remarks.add("An order's rule of right neighbours can't be written; " + count(orders)
                        + " earn by right places.");
            }
        }
        if (this == CARTRIDGE || this == XLSX || this == CSV) {
            said(
                    remarks,
                    settings,
                    one -> !one.topic().isEmpty() || !one.labels().isEmpty(),
                    "have a topic or notes");
        }
        return remarks;
    }

    private static void said(List<String> remarks, List<Settings> all, Predicate<Settings> lost, String words) {
        long count = all.stream().filter(lost).count();
        if (count > 0) {
            remarks.add("Left behind: " + words + " (" + count(count) + ").");
        }
    }

    private static String count(long count) {
        return count == 1 ? "1 question" : count + " questions";
    }

    private List<String> ofContent(Quiz quiz) {
        return switch (this) {
            case QTI21 ->
                quiz.stimuli().isEmpty()
                        ? List.of()
                        : List.of(
                                "A passage stands in each of its questions: this version has no passages of their own.");
            case CARTRIDGE -> CartridgePackage.remarks(quiz);
            case XLSX, CSV, TEXT -> plain(quiz);
            case MARKDOWN -> pictures(quiz);
            default -> List.of();
        };
    }

    private static List<String> pictures(Quiz quiz) {
        long pictures = QtiPackage.proses(quiz).stream()
                .mapToLong(prose -> prose.pictures().size())
                .sum();
        return pictures == 0
                ? List.of()
                : List.of(pictures + (pictures == 1 ? " picture is" : " pictures are") + " left behind.");
    }

    private static List<String> plain(Quiz quiz) {
        List<String> remarks = new ArrayList<>();
        List<Inline> parts = QtiPackage.proses(quiz).stream()
                .flatMap(prose -> prose.parts().stream())
                .toList();
        remarks.addAll(pictures(quiz));
        boolean emphasis = parts.stream()
                .anyMatch(part -> part instanceof Inline.Text text
                        && text.emphasis().stream().anyMatch(e -> e != Emphasis.COLOR));
        if (emphasis) {
            remarks.add("Bold, italic and the like are left behind.");
        }
        if (parts.stream().anyMatch(Inline.Formula.class::isInstance)) {
            remarks.add("Formulas are written as LaTeX.");
        }
        return remarks;
    }

    /** The numbers, or else the first words, of the questions that go out without a key. */
    public static List<String> unkeyed(Quiz quiz) {
        return quiz.questions().stream()
                .filter(question -> !question.isKeyed())
                .map(Question::particulars)
                .map(particulars ->
                        particulars.number().isEmpty() ? particulars.stem().plain() : particulars.number())
                .toList();
    }
}
