<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Password\Passwords;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;
use Symfony\Component\Validator\Constraints\Email;
use Symfony\Component\Validator\Constraints\Length;
use Symfony\Component\Validator\Constraints\NotBlank;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Creates a teacher's account from the command line.
 */
#[AsCommand('huddle:teacher:add', 'Adds a teacher and prints a first password. Change it after the first sign-in.')]
final class AddTeacherCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly ValidatorInterface $validator,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('address', InputArgument::REQUIRED, 'The email the teacher signs in with.');
        $this->addArgument('name', InputArgument::REQUIRED, 'The name shown to others.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$address, $name] = [$input->getArgument('address'), $input->getArgument('name')];
        $address = \is_string($address) ? mb_strtolower(trim($address)) : '';
        $name = \is_string($name) ? trim($name) : '';
        foreach (
            [
                [$address, [new NotBlank(), new Email(), new Length(max: 180)], 'This isn’t an email address'],
                [$name, [new NotBlank(), new Length(max: 120)], 'A name has 1 to 120 characters'],
            ] as [$value, $rules, $wrong]
        ) {
            if (\count($this->validator->validate($value, $rules)) > 0) {
                $output->writeln("{$wrong}: “{$value}”.");

                return self::FAILURE;
            }
        }
        \assert('' !== $address);
        $password = Passwords::fresh();
        $teacher = new Teacher(Uuid::v7()->toRfc4122(), $address, $name);
        $teacher->setPasswordHash($this->hasher->hashPassword($teacher, $password));
        try {
            $this->em->persist($teacher);
            $this->em->flush();
        } catch (UniqueConstraintViolationException) {
            $output->writeln("A teacher with the email {$address} already exists.");

            return self::FAILURE;
        }
        $output->writeln("{$name} signs in with {$address} and the password {$password}");

        return self::SUCCESS;
    }
}
