<?php

declare(strict_types=1);

namespace App\Hands;

use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Time\Day;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What is typed of a job of one's own. */
final class OwnJobData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 200, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $words = '';
    public string $block = '';
    public Bears $bears = Bears::Any;
    public ?float $hours = null;
    public int $wait = 7;
    #[Assert\NotNull(message: 'Please choose a day.')]
    public ?Day $first = null;
    public ?int $every = null;
    public ?Day $last = null;

    public static function of(OwnJob $job): self
    {
        $data = new self();
        [$data->words, $data->block, $data->bears, $data->hours] = [$job->words, $job->block, $job->bears, $job->hours];
        [$data->wait, $data->first, $data->every, $data->last] = [$job->wait, $job->first, $job->every, $job->last];

        return $data;
    }

    #[Assert\Callback]
    public function endsAfterItBegins(ExecutionContextInterface $context): void
    {
        if (null !== $this->last && null !== $this->first && $this->last->isBefore($this->first)) {
            $context->buildViolation('It ends before it begins. Write a later day.')->atPath('last')->addViolation();
        }
    }

    public function job(string $key, Day $today): OwnJob
    {
        return new OwnJob($key, $this->words, $this->block, $this->bears, $this->hours ?? 0.0, $this->wait, $this->first ?? $today,
            $this->every, null === $this->every ? null : $this->last);
    }
}
