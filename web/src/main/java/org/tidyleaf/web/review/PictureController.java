package org.tidyleaf.web.review;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.tidyleaf.question.Inline;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.PictureTexts;

/** The pictures in a question's texts; each is named by its text and its 0-based place there. */
@Controller
@RequestMapping("/leaf/{id}/question/{question}")
class PictureController {
    private final ReviewService reviews;
    private final PictureService pictures;

    PictureController(ReviewService reviews, PictureService pictures) {
        this.reviews = reviews;
        this.pictures = pictures;
    }

    /**
     * A picture in the panel.
     *
     * @param where the text it is in, as a teacher would call it
     */
    record Shown(int part, int place, String where, Inline.Picture picture) {}

    @GetMapping("/pictures")
    String pictures(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        List<QuestionCard> cards = reviews.state(at).cards();
        List<PictureTexts.Text> texts = reviews.state(at)
                .leaf()
                .tidied()
                .question(question)
                .map(PictureTexts::of)
                .orElse(List.of());
        model.addAttribute("leaf", at.leaf());
        model.addAttribute("question", question);
        model.addAttribute(
                "number",
                cards.stream()
                        .filter(card -> card.id().equals(question))
                        .map(QuestionCard::number)
                        .findFirst()
                        .orElse(""));
        model.addAttribute("texts", texts);
        model.addAttribute("pictures", shown(texts));
        model.addAttribute(
                "others",
                cards.stream().filter(card -> !card.id().equals(question)).toList());
        return "review/pictures :: pictures";
    }

    private static List<Shown> shown(List<PictureTexts.Text> texts) {
        List<Shown> shown = new ArrayList<>();
        for (int part = 0; part < texts.size(); part++) {
            List<Inline.Picture> pictures = texts.get(part).prose().pictures();
            for (int place = 0; place < pictures.size(); place++) {
                shown.add(new Shown(part, place, texts.get(part).name(), pictures.get(place)));
            }
        }
        return shown;
    }

    @PostMapping("/picture/new")
    String add(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @RequestParam int part,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        return pictures.add(at, question, part, nameOf(file), file.getBytes()).in(model);
    }

    private static String nameOf(MultipartFile file) {
        return file.getOriginalFilename() == null ? "This file" : file.getOriginalFilename();
    }

    @PostMapping("/picture/{part}/{place}/words")
    String words(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute("spot") PictureService.Spot spot,
            @RequestParam String alternative,
            Model model) {
        return pictures.describe(at, question, spot, alternative.strip()).in(model);
    }

    @PostMapping("/picture/{part}/{place}/crop")
    String crop(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute("spot") PictureService.Spot spot,
            @RequestParam int left,
            @RequestParam int top,
            @RequestParam int right,
            @RequestParam int bottom,
            Model model) {
        return pictures.crop(at, question, spot, new PictureService.Margins(left, top, right, bottom))
                .in(model);
    }

    @PostMapping("/picture/{part}/{place}/file")
    String file(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute("spot") PictureService.Spot spot,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        return pictures.replace(at, question, spot, nameOf(file), file.getBytes())
                .in(model);
    }

    @PostMapping("/picture/{part}/{place}/move")
    String move(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute("spot") PictureService.Spot spot,
            @RequestParam String to,
            @RequestParam int toPart,
            Model model) {
        return reviews.decide(at, new Decision.MovePicture(question, spot.part(), spot.place(), to, toPart))
                .in(model);
    }

    @PostMapping("/picture/{part}/{place}/remove")
    String remove(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute("spot") PictureService.Spot spot,
            Model model) {
        return reviews.decide(at, new Decision.SetPicture(question, spot.part(), spot.place(), "", ""))
                .in(model);
    }
}
