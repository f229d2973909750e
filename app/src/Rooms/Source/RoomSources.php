<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Rooms\Exception\RoomsRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Refused;
use FreshHuddle\Core\Rooms\AddressPattern;
use FreshHuddle\Core\Rooms\NamePattern;
use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Where the rooms of each class come from.
 */
final readonly class RoomSources
{
    /**
     * @param SourceKind $first where the rooms of new classes come from on this installation
     */
    public function __construct(
        private EntityManagerInterface $em,
        private Transaction $transaction,
        #[Autowire('%env(enum:'.SourceKind::class.':FIRST_ROOM_SOURCE)%')]
        private SourceKind $first,
    ) {
    }

    /**
     * A new class; the caller flushes.
     */
    public function begin(SchoolClass $class): void
    {
        $this->em->persist(new RoomSource($class, $this->first));
    }

    public function forClass(SchoolClass $class): RoomSource
    {
        return $this->em->find(RoomSource::class, $class->id)
            ?? throw new \LogicException("The class {$class->id} was made without a place for its rooms.");
    }

    public function view(SchoolClass $class): RoomSourceView
    {
        $source = $this->forClass($class);
        $pattern = '' === $source->addressPattern ? null : new AddressPattern($source->addressPattern);
        $guessable = $pattern?->isGuessable() ?? false;

        return new RoomSourceView(
            $source->kind,
            $source->namePattern,
            $source->addressPattern,
            $source->openedBy,
            $source->life,
            $source->mayRecord,
            $source->mayShareScreen,
            $source->mayWrite,
            $source->takesIn,
            $source->recordingDays,
            $guessable,
            $guessable ? $pattern?->withTail()->text : null,
        );
    }

    /**
     * @throws RoomsRefused if a pattern cannot be used
     */
    public function save(SchoolClass $class, SaveRoomSource $request): RoomSource
    {
        self::check(
            'namePattern',
            $request->namePattern,
            static fn (string $text): NamePattern => new NamePattern($text),
        );
        self::check(
            'addressPattern',
            $request->addressPattern,
            static fn (string $text): AddressPattern => new AddressPattern($text),
        );

        return $this->transaction->run(function () use ($class, $request): RoomSource {
            $source = $this->forClass($class);
            $source->isChosen = true;
            $source->kind = $request->kind ?? $source->kind;
            $source->namePattern = trim($request->namePattern ?? $source->namePattern);
            $source->addressPattern = trim($request->addressPattern ?? $source->addressPattern);
            $source->openedBy = trim($request->openedBy ?? $source->openedBy);
            $source->life = $request->life ?? $source->life;
            $source->mayRecord = $request->mayRecord ?? $source->mayRecord;
            $source->mayShareScreen = $request->mayShareScreen ?? $source->mayShareScreen;
            $source->mayWrite = $request->mayWrite ?? $source->mayWrite;
            $source->takesIn = $request->takesIn ?? $source->takesIn;
            $source->recordingDays = $request->recordingDays ?? $source->recordingDays;

            return $source;
        });
    }

    /**
     * A class that has never said where its rooms come from takes them from where another class does.
     */
    public function goOn(SchoolClass $from, SchoolClass $to): void
    {
        [$was, $source] = [$this->forClass($from), $this->forClass($to)];
        if (!$was->isChosen || $source->isChosen) {
            return;
        }
        $source->isChosen = true;
        [$source->kind, $source->namePattern, $source->openedBy, $source->life] = [
            $was->kind,
            $was->namePattern,
            $was->openedBy,
            $was->life,
        ];
        [$source->mayRecord, $source->mayShareScreen, $source->mayWrite, $source->takesIn] = [
            $was->mayRecord,
            $was->mayShareScreen,
            $was->mayWrite,
            $was->takesIn,
        ];
        $source->recordingDays = $was->recordingDays;
        // An address that follows a pattern with the class in it is another class's own; one without it would be the
        // same room.
        $source->addressPattern = str_contains($was->addressPattern, '{class}') ? $was->addressPattern : '';
        $this->em->flush();
    }

    /**
     * @param callable(string): object $read
     */
    private static function check(string $field, ?string $text, callable $read): void
    {
        try {
            if (null !== $text && '' !== trim($text)) {
                $read(trim($text));
            }
        } catch (Refused $e) {
            throw RoomsRefused::because($e->says, $field);
        }
    }
}
