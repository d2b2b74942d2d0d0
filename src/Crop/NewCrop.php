<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Log\Meanwhile;
use App\Shared\Entry;
use App\Store\Snapshot;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Paste\CropNames;

/** A crop the book lacks, made in one step from one that grows like it; its values are put right later. */
final readonly class NewCrop
{
    private const LONGEST = 40;

    public function __construct(private GardenBooks $books, private Snapshot $snapshot, private OwnForm $form, private BookEdit $edit)
    {
    }

    /**
     * @param string $name as the grower calls it
     * @param string $like a crop of the book, by any of its names
     *
     * @return string what is wrong; '': it is in the garden's book now
     *
     * @throws Meanwhile when somebody else changed own values at the same moment
     */
    public function make(string $gardenId, string $accountId, string $name, string $like): string
    {
        $garden = $this->snapshot->of($gardenId);
        $book = $this->books->with($garden->own);
        $meant = (new CropNames($book))->meant($like);
        if (1 !== \count($meant)) {
            return '' === trim($like) ? 'Which crop does it grow like?' : \sprintf('%s is %s in the crop book. Choose one of the list.',
                Quote::of($like), [] === $meant ? 'not' : 'more than one crop');
        }
        $alike = $book->get($meant[0]);
        $typed = ['why' => 'taken from '.$alike->name];
        foreach ($this->books->values($garden->own, $alike->key) as $value => $row) {
            $typed['v-'.$value] = $row['is'];
        }
        $name = mb_substr(trim($name), 0, self::LONGEST);
        $entry = new Entry([...$typed, 'v-name' => $name, 'v-variety' => $name, 'v-also' => '']);
        $read = $this->form->read($entry, $garden->own, $alike->key, OwnForm::AS_CROP);
        if (!$entry->isGood()) {
            return implode(' ', array_map(static fn (mixed $fault): string => \is_string($fault) ? $fault : '', $entry->faults()));
        }
        $this->edit->keep($gardenId, $accountId, BookEdit::mark($garden), $read['own'], false,
            \sprintf('%s added, grown like %s', $name, mb_strtolower($alike->name)));

        return '';
    }
}
