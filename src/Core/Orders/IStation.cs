using System.Collections.Immutable;

namespace FaithfulBracket.Core.Orders;

/// <summary>One of the nine stations: what it comes to and its steps, from the order and the stations before it.</summary>
public interface IStation<out TResult>
    where TResult : class
{
    /// <exception cref="OperationCanceledException">The caller left.</exception>
    TResult Plan(PlanContext context, EarlierResults earlier);
}

/// <summary>What the stations before came to, by kind of result. A station can name only what lies before it.</summary>
public sealed class EarlierResults
{
    public static EarlierResults None { get; } = new(ImmutableDictionary<Type, object>.Empty);

    private readonly ImmutableDictionary<Type, object> _byType;

    private EarlierResults(ImmutableDictionary<Type, object> byType) => _byType = byType;

    public EarlierResults With<T>(T result)
        where T : class => new(_byType.SetItem(typeof(T), result));

    /// <summary>A result that may be missing: no processor, no loop.</summary>
    public T? Find<T>()
        where T : class => (T?)_byType.GetValueOrDefault(typeof(T));

    /// <exception cref="InvalidOperationException">That station was not asked before.</exception>
    public T Get<T>()
        where T : class =>
        Find<T>() ?? throw new InvalidOperationException($"{typeof(T).Name} is planned before what rests on it.");
}
