using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Reads the library and its index of boards after the start and after each change, so that no page has to wait for
/// it.
/// </summary>
internal sealed class LibraryWarmup(
    LibraryCache shop,
    TwinLibrary twins,
    ShopChanges changes,
    ILogger<LibraryWarmup> log
) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            var next = changes.Next;
            try
            {
                await Task.Run(
                    () =>
                    {
                        _ = (shop.Blocks, shop.Cards, shop.Sockets, shop.Machines);
                        twins.Indexes(stoppingToken);
                        shop.Forget();
                    },
                    stoppingToken
                );
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                log.LogWarning(e, "The library could not be read ahead");
            }
            await next.WaitAsync(stoppingToken);
        }
    }
}
