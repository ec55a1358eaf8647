using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// How many streams one machine may hold open, and all together. One more is answered 503 with Retry-After, so that
/// open streams can never use up the server's files and memory.
/// </summary>
internal sealed class StreamLimits
{
    public const int MaxOfOne = 300,
        MaxOfAll = 1000;

    private readonly OpenCount<string> _open = new();

    /// <param name="machine">The device or address that opens it.</param>
    /// <exception cref="BusyException">Too many are open.</exception>
    public IDisposable Take(string machine)
    {
        var (own, all) = _open.Enter(machine);
        var place = new Place(_open, machine);
        if (own <= MaxOfOne && all <= MaxOfAll)
            return place;
        place.Dispose();
        throw new BusyException(
            own > MaxOfOne
                ? StreamLimitsWords.ThisMachineHasStreamsOpen(MaxOfOne)
                : StreamLimitsWords.StreamsAreOpen(MaxOfAll)
        );
    }

    private sealed class Place(OpenCount<string> open, string machine) : IDisposable
    {
        private int _given;

        public void Dispose()
        {
            if (Interlocked.Exchange(ref _given, 1) == 0)
                open.Leave(machine);
        }
    }
}
