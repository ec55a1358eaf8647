using System.Collections.Concurrent;
using System.Net;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace FaithfulBracket.Server.Lan;

/// <summary>How many connections one machine of the network may hold open, and all together: the workshop's own machine always gets through.</summary>
internal sealed class ConnectionLimits
{
    private const int MaxOfOne = 400,
        MaxOfAll = 1200;

    private readonly ConcurrentDictionary<IPAddress, int> _open = new();
    private int _all;

    /// <summary>Counts the connections of an endpoint that other machines reach.</summary>
    public void Count(ListenOptions endpoint) =>
        endpoint.Use(next =>
            async connection =>
            {
                var from = (connection.RemoteEndPoint as IPEndPoint)?.Address ?? IPAddress.None;
                var own = _open.AddOrUpdate(from, 1, (_, n) => n + 1);
                var all = Interlocked.Increment(ref _all);
                try
                {
                    if (own > MaxOfOne || all > MaxOfAll)
                        connection.Abort(new ConnectionAbortedException("Too many connections are open."));
                    else
                        await next(connection);
                }
                finally
                {
                    Interlocked.Decrement(ref _all);
                    if (_open.AddOrUpdate(from, 0, (_, n) => n - 1) <= 0)
                        _open.TryRemove(KeyValuePair.Create(from, 0));
                }
            }
        );
}
