package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;
import org.tidyleaf.source.Span;

/** Puts picture files where the text names them: "[frame.png]", "Picture: frame.png", "![comb](frame.png)". */
final class NamedPictures {

    private static final String PICTURE_WORDS =
            "(?:picture|image|figure|photo|drawing|diagram|bild|abbildung|imagen|immagine|imagem|afbeelding|obraz)";

    private static final Pattern NAMED = Pattern.compile("!\\[[^\\]]{0,300}]\\((?:[^()]{0,300}/)?([^()/]{1,100})\\)");

    private NamedPictures() {}

    /** A picture file by its bare name. */
    record File(String name, String mediaType, byte[] bytes) {}

    static Source put(Source source, List<File> files) {
        List<Figure> figures = new ArrayList<>(source.figures());
        List<Note> notes = new ArrayList<>(source.notes());
        List<Line> lines = new ArrayList<>();
        Set<String> named = new java.util.HashSet<>();
        for (Line line : source.lines()) {
            Line here = line;
            for (File file : files) {
                Matcher matcher = mention(file.name()).matcher(here.text());
                if (matcher.find()) {
                    String id = "z" + (figures.size() + 1);
                    String alternative = matcher.group("alt") == null ? "" : matcher.group("alt");
                    figures.add(new Figure(id, file.mediaType(), alternative, file.bytes()));
                    here = replaced(here, matcher.start(), matcher.end(), id);
                    named.add(file.name());
                }
            }
            lines.add(here);
        }
        files.stream()
                .filter(file -> !named.contains(file.name()))
                .forEach(file -> notes.add(new Note(
                        1,
                        "figure-nowhere",
                        "The picture " + file.name()
                                + " is in the archive, but no line names it. Add it to a question.")));
        return new Source(source.name(), source.format(), lines, figures, notes, source.pages());
    }

    /** What is said of pictures that a page or a Markdown text names but that did not come with it. */
    static List<Note> missing(List<Line> lines) {
        List<Note> notes = new ArrayList<>();
        for (Line line : lines) {
            Matcher named = NAMED.matcher(line.text());
            while (named.find()) {
                notes.add(new Note(
                        line.number(),
                        "figure-absent",
                        "The picture " + named.group(1)
                                + " is named here but is not in the file. Add it to the question, or pack the document"
                                + " with its pictures in one .zip."));
            }
        }
        return notes;
    }

    private static Pattern mention(String name) {
        String quoted = Pattern.quote(name);
        return Pattern.compile(
                "!\\[(?<alt>[^\\]]*)]\\((?:[^)]*/)?" + quoted + "\\)"
                        + "|[(\\[<]\\s*(?:" + PICTURE_WORDS + "\\s*[:=]?\\s*)?(?:[^\\s()\\[\\]]*/)?" + quoted
                        + "\\s*[)\\]>]"
                        + "|(?:\\b" + PICTURE_WORDS + "\\s*[:=]\\s*)?(?<![\\w-])" + quoted + "(?![\\w-])",
                Pattern.CASE_INSENSITIVE);
    }

    private static Line replaced(Line line, int from, int to, String figure) {
        String text = line.text().substring(0, from) + Line.FIGURE + line.text().substring(to);
        int shift = 1 - (to - from);
        List<Span> spans = new ArrayList<>();
        for (Span span : line.spans()) {
            int start = span.from() >= to ? span.from() + shift : Math.min(span.from(), from);
            int end = span.to() >= to ? span.to() + shift : Math.min(span.to(), from);
            if (start < end) {
                spans.add(new Span(start, end, span.emphasis(), span.color(), span.figure()));
            }
        }
        spans.add(new Span(from, from + 1, Set.of(), "", figure));
        spans.sort(java.util.Comparator.comparingInt(Span::from));
        int labelEnd = Math.min(line.labelEnd(), text.length());
        return new Line(line.number(), text, labelEnd, spans, line.layout());
    }
}
