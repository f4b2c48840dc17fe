package org.tidyleaf.exchange;

import java.math.BigDecimal;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;

/**
 * One question as an assessment item of QTI 3.0 (1EdTech): declarations, body, rules for its points and feedback. Points
 * are absolute: what is right earns the question's points, each right part its share.
 */
final class QtiItem {

    static final String NAMESPACE = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";

    /** Set beside our own types that have no interaction of their own in the standard, to be known when read back. */
    static final String TYPE = "data-tidyleaf-type";

    private final Question question;
    private final BigDecimal most;

    private QtiItem(Question question) {
        this.question = question;
        this.most = Marker.most(question);
    }

    /**
     * The item's file.
     *
     * @param stimulus the file of its passage as seen from the item, or empty; {@code stimulusId} its identifier
     */
    static String write(Question question, QtiProse prose, String stimulusId, String stimulus) {
        QtiItem item = new QtiItem(question);
        QtiBody body = new QtiBody(question, prose);
        boolean byHand = question instanceof ExtendedText;
        Particulars particulars = question.particulars();
        if (!stimulus.isEmpty()) {
            body.xml().empty("div", "data-stimulus-idref", stimulusId);
        }
        question.match(body);
        if (!particulars.hint().isEmpty()) {
            body.xml()
                    .open("qti-rubric-block", "view", "candidate", "use", "instructions", "class", "hint")
                    .open("qti-content-body")
                    .markup(prose.block(particulars.hint(), "hint"))
                    .close("qti-content-body")
                    .close("qti-rubric-block");
        }
        XmlText out = new XmlText();
        out.markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.open(
                "qti-assessment-item",
                "xmlns",
                NAMESPACE,
                "identifier",
                particulars.id(),
                "title",
                title(particulars),
                "label",
                particulars.number(),
                "adaptive",
                "false",
                "time-dependent",
                "false",
                TYPE,
                question.type().label());
        out.markup(body.declarations());
        item.outcomes(out, byHand);
        if (!stimulus.isEmpty()) {
            out.empty("qti-assessment-stimulus-ref", "identifier", stimulusId, "href", stimulus);
        }
        out.open("qti-item-body").markup(body.xml().toString()).close("qti-item-body");
        item.rules(out, byHand, body.rules());
        if (!particulars.feedback().isEmpty()) {
            out.open("qti-modal-feedback", "outcome-identifier", "FEEDBACK", "identifier", "done", "show-hide", "show")
                    .open("qti-content-body")
                    .markup(prose.block(particulars.feedback(), "feedback"))
                    .close("qti-content-body")
                    .close("qti-modal-feedback");
        }
        return out.close("qti-assessment-item").toString();
    }

    private static String title(Particulars particulars) {
        String plain = particulars.stem().plain();
        String text = plain.length() > 60 ? plain.substring(0, 60) + "\u2026" : plain;
        return text.isEmpty() ? particulars.id() : text;
    }

    private void outcomes(XmlText out, boolean byHand) {
        if (byHand) {
            out.empty(
                    "qti-outcome-declaration",
                    "identifier",
                    "SCORE",
                    "cardinality",
                    "single",
                    "base-type",
                    "float",
                    "external-scored",
                    "human",
                    "normal-maximum",
                    most.toPlainString());
        } else {
            outcome(out, "SCORE", "float", "0");
        }
        outcome(out, "MAXSCORE", "float", most.toPlainString());
        if (!question.particulars().feedback().isEmpty()) {
            out.empty(
                    "qti-outcome-declaration",
                    "identifier",
                    "FEEDBACK",
                    "cardinality",
                    "single",
                    "base-type",
                    "identifier");
        }
        if (question instanceof ChoiceQuestion choice && hasFeedback(choice)) {
            out.empty(
                    "qti-outcome-declaration",
                    "identifier",
                    "CHOSEN",
                    "cardinality",
                    choice.takesSeveral() ? "multiple" : "single",
                    "base-type",
                    "identifier");
        }
    }

    private static void outcome(XmlText out, String name, String type, String value) {
        out.open("qti-outcome-declaration", "identifier", name, "cardinality", "single", "base-type", type)
                .open("qti-default-value")
                .element("qti-value", value)
                .close("qti-default-value")
                .close("qti-outcome-declaration");
    }

    private void rules(XmlText out, boolean byHand, String scoring) {
        boolean feedback = !question.particulars().feedback().isEmpty();
        if (byHand && !feedback) {
            return;
        }
        out.open("qti-response-processing").markup(scoring);
        if (feedback) {
            out.open("qti-set-outcome-value", "identifier", "FEEDBACK")
                    .element("qti-base-value", "done", "base-type", "identifier")
                    .close("qti-set-outcome-value");
        }
        if (question instanceof ChoiceQuestion choice && hasFeedback(choice)) {
            out.open("qti-set-outcome-value", "identifier", "CHOSEN")
                    .empty("qti-variable", "identifier", QtiBody.RESPONSE)
                    .close("qti-set-outcome-value");
        }
        out.close("qti-response-processing");
    }

    static boolean hasFeedback(ChoiceQuestion choice) {
        return choice.options().stream().anyMatch(option -> !option.feedback().isEmpty());
    }
}
