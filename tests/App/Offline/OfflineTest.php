<?php

declare(strict_types=1);

namespace App\Tests\Offline;

use App\Tests\Support\AppCase;

/** What a phone keeps for the field: the manifest, the worker, the pages of this week. The journeys are in the browser tests. */
final class OfflineTest extends AppCase
{
    public function testTheApplicationCanBeInstalled(): void
    {
        $this->browser->getCookieJar()->clear();
        $this->browser->request('GET', '/manifest.webmanifest');
        self::assertResponseIsSuccessful();
        self::assertResponseHeaderSame('Content-Type', 'application/manifest+json');
        $manifest = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($manifest);
        self::assertIsArray($manifest['icons']);
        self::assertSame(['standalone', ['192x192', '512x512', '512x512']], [$manifest['display'], array_column($manifest['icons'],
            'sizes')]);

        $this->browser->request('GET', '/sw.js');
        self::assertResponseIsSuccessful();
        self::assertStringStartsWith("const SHELL = 'shell-", (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', '/offline');
        self::assertStringContainsString('No reception', $this->text());
    }

    /** This week, its jobs, their beds and crops: each address opens. */
    public function testThePagesThatAreKept(): void
    {
        $this->browser->request('GET', $this->path('/offline'));
        $kept = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($kept);
        self::assertIsArray($kept['pages']);
        self::assertContains($this->path('/week'), $kept['pages']);
        self::assertContains($this->path('/bed/A3'), $kept['pages']);
        self::assertContains($this->path('/crops/leek'), $kept['pages']);
        foreach ($kept['pages'] as $page) {
            self::assertIsString($page);
            $this->browser->request('GET', $page);
            self::assertResponseIsSuccessful($page);
        }
    }

    /** The token that what waited is sent with; nobody who is not a member gets one. */
    public function testATokenForWhatWaited(): void
    {
        $this->browser->request('GET', $this->path('/offline?token'));
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($answer);
        self::assertIsString($answer['token']);
        $this->browser->request('POST', $this->path('/jobs/do'), ['t' => ['garden:yearly/sharpen/2026:'], 'do' => 'done', 'token' => 'a'],
            server: ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_TOKEN' => $answer['token']]);
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->snapshot()->diary->marks);

        $this->browser->loginUser($this->account('stranger@example.test'));
        $this->browser->request('GET', $this->path('/offline?token'));
        self::assertResponseStatusCodeSame(404);
    }
}
