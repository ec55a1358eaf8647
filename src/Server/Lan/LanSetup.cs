using System.Net;
using System.Threading.RateLimiting;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.Data.Sqlite;

namespace FaithfulBracket.Server.Lan;

/// <summary>
/// Opens the shop's network where it was asked for: HTTPS, keys for devices, limits for each; never without.
/// </summary>
internal static class LanSetup
{
    /// <summary>Requests a device may send at once, and a second from then on.</summary>
    private const int Burst = 300,
        PerSecond = 60;

    /// <summary>Requests of somebody who is not paired, in ten seconds.</summary>
    private const int MaxOfStrangers = 60;

    public static LanHosts Add(WebApplicationBuilder builder, ShopDatabase shop)
    {
        var lan = LanHosts.Find(
            builder.Configuration.GetValue<bool?>("lan") ?? IsSet(shop),
            builder.Configuration.GetValue<int?>("lan-port")
        );
        if (lan.Open)
        {
            var certificate = LanCertificate.Load(Path.GetDirectoryName(shop.File)!, lan.Names, DateTimeOffset.UtcNow);
            builder.WebHost.UseKestrelHttpsConfiguration();
            var limits = new ConnectionLimits();
            builder.WebHost.ConfigureKestrel(k =>
            {
                k.ConfigureHttpsDefaults(h => h.ServerCertificate = certificate);
                k.ConfigureEndpointDefaults(e =>
                {
                    if (e.IPEndPoint?.Address.Equals(IPAddress.Any) == true)
                        limits.Count(e);
                });
            });
            lan = lan with { Fingerprint = LanCertificate.Fingerprint(certificate) };
            var urls = builder.Configuration["urls"];
            builder.WebHost.UseUrls(
                $"{(string.IsNullOrEmpty(urls) ? "http://127.0.0.1:5140" : urls)};https://0.0.0.0:{lan.Port}"
            );
        }
        builder
            .Services.AddSingleton(lan)
            .AddSingleton<Devices>()
            .AddSingleton<PairingService>()
            .AddSingleton<StrangerDelay>()
            .AddSingleton<DeviceGate>()
            .AddRateLimiter(Limit);
        return lan;
    }

    private static void Limit(RateLimiterOptions o)
    {
        o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
        o.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(context =>
            DeviceGate.IsHere(context) ? RateLimitPartition.GetNoLimiter("here")
            : DeviceGate.DeviceOf(context) is { } device
                ? RateLimitPartition.GetTokenBucketLimiter(
                    $"device {device}",
                    _ =>
                        new()
                        {
                            TokenLimit = Burst,
                            TokensPerPeriod = PerSecond,
                            ReplenishmentPeriod = TimeSpan.FromSeconds(1),
                            QueueLimit = 0,
                        }
                )
            : RateLimitPartition.GetFixedWindowLimiter(
                $"from {context.Connection.RemoteIpAddress}",
                _ => new() { PermitLimit = MaxOfStrangers, Window = TimeSpan.FromSeconds(10) }
            )
        );
    }

    /// <summary>Whether the setting says so; a shop that is new or of an earlier version says no.</summary>
    private static bool IsSet(ShopDatabase shop)
    {
        if (!File.Exists(shop.File))
            return false;
        try
        {
            return ShopSettingList.With(new Settings(shop, TimeProvider.System).Changed()).ServeNetwork;
        }
        catch (SqliteException)
        {
            return false;
        }
    }
}
