package org.tidyleaf.exchange;

import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Snag;
import tools.jackson.core.JsonEncoding;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultPrettyPrinter;

/** A reading as one JSON object in the shape of the reading contract, field by field, streamed. */
public final class ReadingJson {

    private ReadingJson() {}

    /** Writes the whole object in UTF-8 and leaves the stream open. */
    public static void write(Reading reading, OutputStream out) {
        ObjectWriteContext pretty = new ObjectWriteContext.Base() {
            @Override
            public tools.jackson.core.PrettyPrinter getPrettyPrinter() {
                return new DefaultPrettyPrinter();
            }

            @Override
            public boolean hasPrettyPrinter() {
                return true;
            }
        };
        JsonGenerator json = new JsonFactory().createGenerator(pretty, out, JsonEncoding.UTF8);
        new Writer(json).reading(reading);
        json.flush();
    }

    /** Writes one value after the other into the generator. */
    private record Writer(JsonGenerator json) implements Question.Cases<Boolean> {

        void reading(Reading reading) {
            json.writeStartObject();
            json.writeStringProperty("title", reading.title());
            json.writeArrayPropertyStart("sections");
            reading.sections().forEach(this::section);
            json.writeEndArray();
            json.writeArrayPropertyStart("stimuli");
            reading.stimuli().forEach(this::stimulus);
            json.writeEndArray();
            json.writeArrayPropertyStart("questions");
            reading.questions().forEach(this::question);
            json.writeEndArray();
            json.writeArrayPropertyStart("ledger");
            reading.ledger().forEach(this::entry);
            json.writeEndArray();
            json.writeArrayPropertyStart("snags");
            reading.snags().forEach(this::snag);
            json.writeEndArray();
            json.writeEndObject();
        }

        private void section(Section section) {
            json.writeStartObject();
            json.writeStringProperty("title", section.title());
            prose("instructions", section.instructions());
            json.writeEndObject();
        }

        private void stimulus(Stimulus stimulus) {
            json.writeStartObject();
            json.writeStringProperty("text", stimulus.text().plain());
            json.writeNumberProperty("figures", stimulus.text().pictures().size());
            json.writeEndObject();
        }

        private void question(ReadQuestion read) {
            Particulars particulars = read.question().particulars();
            json.writeStartObject();
            text("number", particulars.number());
            json.writeStringProperty("type", read.question().type().label());
            json.writeStringProperty("stem", particulars.stem().plain());
            read.question().match(this);
            number("points", particulars.points());
            index("section", particulars.section());
            index("stimulus", particulars.stimulus());
            json.writeNumberProperty("figures", particulars.stem().pictures().size());
            prose("feedback", particulars.feedback());
            prose("hint", particulars.hint());
            json.writeStringProperty("keySource", read.keySource().label());
            json.writeNumberProperty("doubt", read.doubt());
            json.writeEndObject();
        }

        @Override
        public Boolean choice(ChoiceQuestion question) {
            json.writeArrayPropertyStart("options");
            for (int i = 0; i < question.options().size(); i++) {
                Option option = question.options().get(i);
                json.writeStartObject();
                text("label", option.label());
                json.writeStringProperty("text", option.text().plain());
                if (question.isKeyed()) {
                    json.writeBooleanProperty("key", question.key().contains(i));
                } else {
                    json.writeNullProperty("key");
                }
                prose("feedback", option.feedback());
                json.writeEndObject();
            }
            json.writeEndArray();
            return true;
        }

        @Override
        public Boolean textEntry(TextEntry question) {
            gaps(question.gaps());
            return true;
        }

        @Override
        public Boolean tableEntry(TableEntry question) {
            json.writeArrayPropertyStart("table");
            for (List<Prose> row : question.rows()) {
                json.writeStartArray();
                row.forEach(cell -> json.writeString(cell.plain()));
                json.writeEndArray();
            }
            json.writeEndArray();
            gaps(question.gaps());
            return true;
        }

        @Override
        public Boolean hottext(Hottext question) {
            strings("spans", question.spans());
            return true;
        }

        @Override
        public Boolean pictureLabel(PictureLabel question) {
            strings("labels", question.labels());
            strings("words", question.words());
            gaps(question.gaps());
            return true;
        }

        private void gaps(List<List<String>> gaps) {
            json.writeArrayPropertyStart("gaps");
            for (List<String> gap : gaps) {
                json.writeStartArray();
                gap.forEach(json::writeString);
                json.writeEndArray();
            }
            json.writeEndArray();
        }

        @Override
        public Boolean numericEntry(NumericEntry question) {
            if (question.key().isEmpty()) {
                json.writeNullProperty("numeric");
                return true;
            }
            NumericEntry.Key key = question.key().get();
            json.writeObjectPropertyStart("numeric");
            json.writeNumberProperty("value", key.value());
            number("tolerance", key.tolerance());
            text("unit", key.unit());
            json.writeEndObject();
            return true;
        }

        @Override
        public Boolean extendedText(ExtendedText question) {
            prose("answer", question.answer());
            return true;
        }

        @Override
        public Boolean match(Match question) {
            json.writeArrayPropertyStart("pairs");
            for (int i = 0; i < question.lefts().size(); i++) {
                json.writeStartObject();
                json.writeStringProperty("left", question.lefts().get(i).plain());
                text(
                        "right",
                        question.isKeyed()
                                ? question.targets().get(question.key().get(i)).plain()
                                : "");
                json.writeEndObject();
            }
            json.writeEndArray();
            texts("targets", question.targets());
            return true;
        }

        @Override
        public Boolean order(Order question) {
            texts("order", question.items());
            if (question.isKeyed()) {
                json.writeArrayPropertyStart("orderKey");
                question.key().forEach(place -> json.writeNumber(place + 1));
                json.writeEndArray();
            } else {
                json.writeNullProperty("orderKey");
            }
            return true;
        }

        @Override
        public Boolean grid(Grid question) {
            strings("columns", question.columns().stream().map(Prose::plain).toList());
            json.writeArrayPropertyStart("rows");
            for (int i = 0; i < question.rows().size(); i++) {
                json.writeStartObject();
                json.writeStringProperty("text", question.rows().get(i).plain());
                if (question.key().isEmpty()) {
                    json.writeNullProperty("key");
                } else {
                    strings(
                            "key",
                            question.key().get(i).stream()
                                    .sorted()
                                    .map(column ->
                                            question.columns().get(column).plain())
                                    .toList());
                }
                json.writeEndObject();
            }
            json.writeEndArray();
            return true;
        }

        @Override
        public Boolean gapMatch(GapMatch question) {
            strings("words", question.words());
            json.writeArrayPropertyStart("gaps");
            for (int i = 0; i < question.particulars().stem().gapCount(); i++) {
                json.writeStartArray();
                if (i < question.key().size()) {
                    json.writeString(question.key().get(i));
                }
                json.writeEndArray();
            }
            json.writeEndArray();
            return true;
        }

        private void texts(String name, List<Prose> proses) {
            strings(name, proses.stream().map(Prose::plain).toList());
        }

        private void strings(String name, List<String> strings) {
            json.writeArrayPropertyStart(name);
            strings.forEach(json::writeString);
            json.writeEndArray();
        }

        private void entry(Entry entry) {
            json.writeStartObject();
            json.writeNumberProperty("line", entry.line());
            json.writeStringProperty("text", entry.text());
            json.writeStringProperty("role", entry.role().label());
            if (!entry.reason().isEmpty()) {
                json.writeStringProperty("reason", entry.reason());
            }
            if (entry.question() > 0) {
                json.writeNumberProperty("question", entry.question());
            }
            json.writeEndObject();
        }

        private void snag(Snag snag) {
            json.writeStartObject();
            json.writeStringProperty("kind", snag.kind());
            if (snag.question() > 0) {
                json.writeNumberProperty("question", snag.question());
            }
            json.writeNumberProperty("line", snag.line());
            json.writeStringProperty("message", snag.message());
            json.writeEndObject();
        }

        private void prose(String name, Prose prose) {
            text(name, prose.plain());
        }

        private void text(String name, String text) {
            if (text.isEmpty()) {
                json.writeNullProperty(name);
            } else {
                json.writeStringProperty(name, text);
            }
        }

        private void number(String name, Optional<BigDecimal> number) {
            if (number.isPresent()) {
                json.writeNumberProperty(name, number.get());
            } else {
                json.writeNullProperty(name);
            }
        }

        private void index(String name, int index) {
            if (index < 0) {
                json.writeNullProperty(name);
            } else {
                json.writeNumberProperty(name, index);
            }
        }
    }
}
