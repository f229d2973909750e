<?php

declare(strict_types=1);

namespace FreshHuddle\Standin;

use FreshHuddle\Standin\Bucket\BucketApi;
use FreshHuddle\Standin\Meeting\ControlPage;
use FreshHuddle\Standin\Meeting\MeetingApi;
use FreshHuddle\Standin\Meeting\MeetingPages;
use FreshHuddle\Standin\Meeting\Recordings;
use FreshHuddle\Standin\Portal\PortalApi;
use FreshHuddle\Standin\Portal\PortalPages;
use Symfony\Bundle\FrameworkBundle\FrameworkBundle;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Loader\Configurator\ContainerConfigurator;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;
use Symfony\Component\Routing\Loader\Configurator\RoutingConfigurator;

use function Symfony\Component\DependencyInjection\Loader\Configurator\env;

/**
 * The simulated outside services, as an application of their own.
 */
final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    public function registerBundles(): iterable
    {
        yield new FrameworkBundle();
    }

    public function getProjectDir(): string
    {
        return \dirname(__DIR__);
    }

    public function getCacheDir(): string
    {
        return self::folder().'/cache/standins-'.$this->environment;
    }

    public function getBuildDir(): string
    {
        return $this->getCacheDir();
    }

    public function getLogDir(): string
    {
        return self::folder().'/log';
    }

    public static function folder(): string
    {
        $folder = getenv('FH_VAR');

        return \is_string($folder) && '' !== $folder ? $folder : \dirname(__DIR__, 2).'/var/run';
    }

    private function configureContainer(ContainerConfigurator $container): void
    {
        $container->extension('framework', [
            'secret' => '%env(APP_SECRET)%',
            'http_method_override' => false,
            'allowed_http_method_override' => [],
            'handle_all_throwables' => true,
            'http_client' => ['default_options' => ['timeout' => 2]],
        ]);
        $services = $container
            ->services()
            ->defaults()
            ->autowire()
            ->autoconfigure()
            ->bind('$databaseUrl', env('STANDIN_DATABASE_URL'))
            ->bind('$token', env('MEETING_TOKEN'))
            ->bind('$portalToken', env('PORTAL_TOKEN'))
            ->bind('$hookSecret', env('MEETING_HOOK_SECRET'))
            ->bind('$hookUrl', env('MEETING_HOOK_URL'))
            ->bind('$publicUrl', env('MEETING_PUBLIC_URL'))
            ->bind('$classPageUrl', env('PUBLIC_URL'));
        $services->load('FreshHuddle\\Standin\\', __DIR__.'/')->exclude([__DIR__.'/Kernel.php']);
        $services->get(MeetingApi::class)->tag('controller.service_arguments');
        $services->get(MeetingPages::class)->tag('controller.service_arguments');
        $services->get(ControlPage::class)->tag('controller.service_arguments');
        $services->get(Recordings::class)->tag('controller.service_arguments');
        $services->get(PortalApi::class)->tag('controller.service_arguments');
        $services->get(PortalPages::class)->tag('controller.service_arguments');
        $services->get(BucketApi::class)->tag('controller.service_arguments');
    }

    private function configureRoutes(RoutingConfigurator $routes): void
    {
        $routes->import(__DIR__.'/Meeting/', 'attribute');
        $routes->import(__DIR__.'/Portal/', 'attribute');
        $routes->import(__DIR__.'/Bucket/', 'attribute');
    }
}
