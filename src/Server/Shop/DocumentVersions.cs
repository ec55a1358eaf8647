using System.Collections.Concurrent;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Older versions of documents as Core types; a version never changes, so it is read once.</summary>
internal sealed class DocumentVersions(LibraryCache shop, IServiceProvider services)
{
    private const int MaxKept = 500;

    private readonly ConcurrentDictionary<(string Kind, string Id, long Version), object> _read = new();

    /// <exception cref="NotFoundException">It does not read by today's rules, or is not there.</exception>
    public T Find<T>(HeldDocument held)
        where T : class
    {
        if (_read.Count > MaxKept)
            _read.Clear();
        var value = _read.GetOrAdd((held.Kind, held.Id, held.Version), _ => Read(held));
        return (T)(value is Block block ? shop.AsUsed(block) : value);
    }

    private object Read(HeldDocument held)
    {
        var kind = LibraryKinds.All.First(k => k.Name == held.Kind);
        try
        {
            return kind.Read(services.GetRequiredKeyedService<Library>(kind.Name).Find(held.Id, held.Version)).Parsed!;
        }
        catch (Exception e) when (e is InputException or MalformedJsonException)
        {
            throw new NotFoundException(
                DocumentVersionsWords.JobRestsOnVersion(held.Version, held.Kind, held.Id, e.Message, held.Newest)
            );
        }
    }
}
