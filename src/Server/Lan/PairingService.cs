using System.Collections.Concurrent;
using System.Net;
using System.Security.Cryptography;
using FaithfulBracket.Server.Words.Lan;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Lan;

/// <summary>Passcodes for tablets: each lets one in, for ten minutes; whoever guesses is made to wait.</summary>
internal sealed class PairingService(Devices devices, TimeProvider time)
{
    /// <summary>Letters and digits that nobody takes for one another.</summary>
    private const string Letters = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";
    private const int CodeLength = 8,
        MaxTries = 6,
        MaxTriesOfAll = 60,
        MaxOpen = 20;

    private static readonly TimeSpan Lives = TimeSpan.FromMinutes(10),
        Window = TimeSpan.FromMinutes(1);

    private readonly ConcurrentDictionary<string, DateTimeOffset> _open = new();
    private readonly Dictionary<string, (DateTimeOffset Since, int Count)> _tries = [];
    private readonly Lock _gate = new();

    /// <returns>A code that lets one device in.</returns>
    public (string Code, DateTimeOffset Until) Open()
    {
        var now = time.GetUtcNow();
        foreach (var old in _open.Where(o => o.Value < now))
            _open.TryRemove(old);
        if (_open.Count >= MaxOpen)
            _open.Clear();
        var code = RandomNumberGenerator.GetString(Letters, CodeLength);
        _open[code] = now + Lives;
        return (code, now + Lives);
    }

    /// <summary>Lets a device in.</summary>
    /// <returns>Its id and key; null where the code lets nobody in.</returns>
    /// <exception cref="TooManyTriesException">Too many codes were tried.</exception>
    public (long Id, string Token)? Pair(string code, string name, IPAddress? from)
    {
        Count(from?.ToString() ?? "?", MaxTries);
        Count("all", MaxTriesOfAll);
        var typed = new string([.. code.ToUpperInvariant().Where(char.IsLetterOrDigit)]);
        return _open.TryRemove(typed, out var until) && until >= time.GetUtcNow() ? devices.Pair(name) : null;
    }

    private void Count(string who, int most)
    {
        lock (_gate)
        {
            var now = time.GetUtcNow();
            if (_tries.Count > 1000)
                _tries.Clear();
            var (since, count) = _tries.GetValueOrDefault(who);
            _tries[who] = now - since > Window ? (now, 1) : (since, count + 1);
            if (_tries[who].Count > most)
                throw new TooManyTriesException(since + Window - now);
        }
    }
}

/// <summary>Too many codes were tried from one place.</summary>
internal sealed class TooManyTriesException(TimeSpan wait) : Exception(PairingServiceWords.TooManyCodesWereTried)
{
    public TimeSpan Wait { get; } = wait;
}
