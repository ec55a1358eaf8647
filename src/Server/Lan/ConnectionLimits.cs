using System.Net;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Lan;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace FaithfulBracket.Server.Lan;

/// <summary>
/// How many connections one machine of the network may hold open, and all together: the workshop's own machine always
/// gets through.
/// </summary>
internal sealed class ConnectionLimits
{
    private const int MaxOfOne = 400,
        MaxOfAll = 1200;

    private readonly OpenCount<IPAddress> _open = new();

    /// <summary>Counts the connections of an endpoint that other machines reach.</summary>
    public void Count(ListenOptions endpoint) =>
        endpoint.Use(next =>
            async connection =>
            {
                var from = (connection.RemoteEndPoint as IPEndPoint)?.Address ?? IPAddress.None;
                var (own, all) = _open.Enter(from);
                try
                {
                    if (own > MaxOfOne || all > MaxOfAll)
                        connection.Abort(
                            new ConnectionAbortedException(ConnectionLimitsWords.TooManyConnectionsAreOpen)
                        );
                    else
                        await next(connection);
                }
                finally
                {
                    _open.Leave(from);
                }
            }
        );
}
