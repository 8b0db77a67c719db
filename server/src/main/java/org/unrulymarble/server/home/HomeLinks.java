package org.unrulymarble.server.home;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Pupil;

/**
 * Cards behind addresses that nobody guesses (128 bits, kept as a hash), only where the school has an address of its own on the internet. They end
 * 14 days after the last practice, or when the card is withdrawn.
 */
@Service
@Transactional
class HomeLinks {

    private static final int SECRET_BYTES = 16;
    private static final int AFTER_DAYS = 14;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final String publicAddress;
    private final HomeWeeks weeks;
    private final HomeCards cards;
    private final CardsOut out;
    private final ClassAccess access;
    private final Clock clock;

    HomeLinks(
            @Value("${marble.public-address}") String publicAddress,
            HomeWeeks weeks,
            HomeCards cards,
            CardsOut out,
            ClassAccess access,
            Clock clock) {
        this.publicAddress = publicAddress.strip().replaceAll("/+$", "");
        this.weeks = weeks;
        this.cards = cards;
        this.out = out;
        this.access = access;
        this.clock = clock;
    }

    /** No family is told to accept a warning: an address counts only with https, which a trusted certificate stands behind. */
    boolean possible() {
        return publicAddress.startsWith("https://");
    }

    /** @param address said once, and never again: only its hash is kept */
    record HomeLink(UUID cardId, String pupil, int home, String address, LocalDate until) {}

    /**
     * New addresses for all cards of a week; those given before lead nowhere from then on.
     *
     * @throws NotFound where the school has no public address
     */
    List<HomeLink> ofWeek(UUID weekId) {
        if (!possible()) throw new NotFound();
        HomeWeekRow week = weeks.findById(weekId).orElseThrow(NotFound::new);
        List<Pupil> pupils = access.teach(week.classId()).pupils();
        LocalDate until = week.lastDay().plusDays(AFTER_DAYS);
        List<HomeLink> links = new ArrayList<>();
        for (HomeCardRow card : cards.findByWeekIdInOrderByCardNumber(List.of(weekId))) {
            Optional<Pupil> pupil =
                    pupils.stream().filter(p -> p.id().equals(card.pupilId())).findFirst();
            if (card.withdrawn() || pupil.isEmpty()) continue;
            byte[] secret = new byte[SECRET_BYTES];
            RANDOM.nextBytes(secret);
            String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
            card.link(hash(token), until);
            links.add(new HomeLink(card.id(), pupil.get().name(), card.home(), publicAddress + "/h/" + token, until));
        }
        return links;
    }

    /** The card behind an address; empty where there is none, or no more. */
    @Transactional(readOnly = true)
    public Optional<CardsOut.CardOut> behind(String token) {
        if (!possible()) return Optional.empty();
        return cards.findByLinkHash(hash(token))
                .filter(card -> !LocalDate.now(clock).isAfter(card.linkUntil()))
                .map(out::behindLink);
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
