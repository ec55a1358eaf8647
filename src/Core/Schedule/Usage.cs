namespace FaithfulBracket.Core.Schedule;

/// <summary>How much of one thing (hands, a tool, a person) is in use over time, as steps.</summary>
internal sealed class Usage(int capacity)
{
    /// <summary>
    /// Where the use changes, rising, and what it is from there on; nothing is used before the first.
    /// </summary>
    private readonly List<long> _from = [];
    private readonly List<int> _used = [];

    public void Add(long start, long length, int amount)
    {
        if (length <= 0 || amount <= 0)
            return;
        var (first, last) = (Step(start), Step(start + length));
        for (var k = first; k < last; k++)
            _used[k] += amount;
    }

    /// <summary>Where it is tried next when an amount does not fit in a span; null where it fits.</summary>
    public long? NextAfterConflict(long start, long length, int amount)
    {
        for (var k = Math.Max(0, Index(start)); k < _from.Count && _from[k] < start + length; k++)
            if (_used[k] + amount > capacity)
                // the last step uses nothing, so that there is always one after a step that is full
                return _from[k + 1];
        return null;
    }

    /// <summary>The step that holds an instant; -1 before the first.</summary>
    private int Index(long at)
    {
        var found = _from.BinarySearch(at);
        return found >= 0 ? found : ~found - 1;
    }

    /// <summary>The step that begins at an instant, made where there is none.</summary>
    private int Step(long at)
    {
        var found = _from.BinarySearch(at);
        if (found >= 0)
            return found;
        var place = ~found;
        _from.Insert(place, at);
        _used.Insert(place, place == 0 ? 0 : _used[place - 1]);
        return place;
    }
}
