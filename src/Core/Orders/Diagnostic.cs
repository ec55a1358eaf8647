namespace FaithfulBracket.Core.Orders;

/// <summary>Something that could not be calculated, and why; the rest of the plan goes on.</summary>
/// <param name="Scope">Key of the board or pair it is about; null for the order as a whole.</param>
public sealed record Diagnostic(Station Station, string? Scope, Message Text);

/// <summary>Gathers what could not be calculated while a station is.</summary>
public sealed class Diagnostics(Station station)
{
    private readonly List<Diagnostic> _list = [];

    public IReadOnlyList<Diagnostic> List => _list;

    public void Add(string? scope, Message text) => _list.Add(new(station, scope, text));

    /// <summary>The value, or null and a trouble where the input breaks a rule of the trade.</summary>
    public T? Try<T>(string? scope, Func<T> calculate)
        where T : class
    {
        try
        {
            return calculate();
        }
        catch (InputException e)
        {
            Add(scope, Message.Quote(string.Join(" ", e.Faults.Select(f => f.Message))));
            return null;
        }
    }
}
