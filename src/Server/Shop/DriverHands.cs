namespace FaithfulBracket.Server.Shop;

/// <summary>
/// Which screw each person has the torque driver on. Somebody turns one screw at a time, the one looked at last: a watch
/// of the screw before, which may not have ended yet, takes no turn of this one.
/// </summary>
internal sealed class DriverHands
{
    private readonly Lock _lock = new();
    private readonly Dictionary<string, List<Hand>> _byPerson = [];

    /// <summary>The driver is on another screw for this person until the hand is let go.</summary>
    public Hand Take(string by)
    {
        var hand = new Hand(this, by);
        lock (_lock)
        {
            if (!_byPerson.TryGetValue(by, out var hands))
                _byPerson[by] = hands = [];
            hands.Add(hand);
        }
        return hand;
    }

    internal sealed class Hand(DriverHands hands, string by) : IDisposable
    {
        public bool IsLatest
        {
            get
            {
                lock (hands._lock)
                    return hands._byPerson.TryGetValue(by, out var all) && all[^1] == this;
            }
        }

        public void Dispose()
        {
            lock (hands._lock)
                if (hands._byPerson.TryGetValue(by, out var all) && all.Remove(this) && all.Count == 0)
                    hands._byPerson.Remove(by);
        }
    }
}
