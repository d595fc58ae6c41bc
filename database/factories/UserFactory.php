<?php

namespace Database\Factories;

use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
class UserFactory extends Factory
{
    public function definition(): array
    {
        return [
            'name' => fake()->firstName(),
            'email' => fake()->unique()->safeEmail(),
            'role' => Role::Trainee,
            'password' => 'copper-lamp',
        ];
    }

    public function instructor(): static
    {
        return $this->state(['role' => Role::Instructor]);
    }
}
