using System.Collections;
using System.Diagnostics.CodeAnalysis;

namespace FaithfulBracket.Core.Materials;

/// <summary>
/// Materials by name for one call. Where none is named, only those that the call gave (or the documented defaults) are
/// there to choose from; a name that it did not give is looked up among the defaults, then in the inventory.
/// </summary>
/// <param name="given">Of the call itself.</param>
/// <param name="inventory">Of the workshop.</param>
public sealed class MaterialDictionary(
    IReadOnlyDictionary<string, PadMaterial> given,
    Func<string, PadMaterial?> inventory
) : IReadOnlyDictionary<string, PadMaterial>
{
    private readonly IReadOnlyDictionary<string, PadMaterial> _choice = given.Count > 0 ? given : DefaultMaterials.Pads;

    public PadMaterial this[string key] =>
        TryGetValue(key, out var found) ? found : throw new KeyNotFoundException($"No material \"{key}\".");

    public IEnumerable<string> Keys => _choice.Keys;
    public IEnumerable<PadMaterial> Values => _choice.Values;
    public int Count => _choice.Count;

    public bool ContainsKey(string key) => TryGetValue(key, out _);

    public bool TryGetValue(string key, [MaybeNullWhen(false)] out PadMaterial value)
    {
        value = given.GetValueOrDefault(key) ?? DefaultMaterials.Pads.GetValueOrDefault(key) ?? inventory(key);
        return value is not null;
    }

    public IEnumerator<KeyValuePair<string, PadMaterial>> GetEnumerator() => _choice.GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
