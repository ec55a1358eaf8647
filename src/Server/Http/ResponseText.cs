using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Stock;
using FaithfulBracket.Core.Words;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// Words on their way to a screen, with figures written as the shop has them. Documents and files leave as they are.
/// </summary>
internal static class ResponseText
{
    /// <summary>Ends of names of what is compared, never read.</summary>
    private static readonly string[] Codes = ["id", "ids", "key", "keys", "at", "digest", "on", "path", "version"];

    private static readonly string[] OwnWords = ["title", "client", "bench"];

    /// <summary>What a person wrote is shown as it was written.</summary>
    private static readonly Dictionary<Type, string[]> ByHand = new()
    {
        [typeof(NoteRow)] = ["text"],
        [typeof(HistoryEntry)] = ["overrideReason"],
        [typeof(StepState)] = ["overrideReason"],
        [typeof(ReadingRow)] = ["note"],
        [typeof(LeakTestRow)] = ["place"],
        [typeof(RunningTimer)] = ["label"],
        [typeof(SettingChangeRow)] = ["reason"],
        [typeof(SignerRow)] = ["name"],
        [typeof(DeviceRow)] = ["name"],
        [typeof(AsFoundPad)] = ["note"],
        [typeof(JobLogRow)] = ["name"],
        [typeof(CorrectionRow)] = ["before", "after", "why"],
        [typeof(EventsView)] = ["address", "secret"],
        [typeof(ShopEventRow)] = ["kind", "what", "answer"],
        [typeof(FoundJob)] = ["title", "client", "snippet"],
    };

    /// <summary>
    /// Where documents and what lies in the drawer are described: they are edited and sent back as they are.
    /// </summary>
    private static readonly string?[] Written =
    [
        typeof(Core.Boards.Board).Namespace,
        typeof(Core.Blocks.Block).Namespace,
        typeof(Core.Materials.Drawer).Namespace,
    ];

    /// <summary>
    /// How answers of this server are written, for those that write themselves: streams and refusals.
    /// </summary>
    public static JsonSerializerOptions Options(HttpContext context) =>
        context.RequestServices.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions;

    /// <summary>A resolver's contracts with every text and list of texts told in this style.</summary>
    public static IJsonTypeInfoResolver In(IJsonTypeInfoResolver resolver, Func<FigureStyle> style) =>
        resolver.WithAddedModifier(type =>
        {
            if (type.Kind != JsonTypeInfoKind.Object || Written.Contains(type.Type.Namespace))
                return;
            // a job's own words are edited and sent back: they stay as somebody wrote them
            var byHand = ByHand.GetValueOrDefault(type.Type) ?? [];
            var ofJob = type.Properties.Any(p => p.Name == "client");
            foreach (var property in type.Properties)
                if (
                    property.Get is { } get
                    && !IsCode(property.Name)
                    && !byHand.Contains(property.Name)
                    && !(ofJob && OwnWords.Contains(property.Name))
                )
                    property.Get =
                        property.PropertyType == typeof(string) ? o => Tell(style(), get(o))
                        : property.PropertyType == typeof(Message) ? o => TellStated(style(), get(o))
                        : property.PropertyType == typeof(IReadOnlyList<string>) ? o => TellAll(style(), get(o))
                        : property.PropertyType == typeof(IReadOnlyList<Message>) ? o => TellAllStated(style(), get(o))
                        : get;
        });

    private static bool IsCode(string name) =>
        Codes.Any(c => name == c || name.EndsWith(char.ToUpperInvariant(c[0]) + c[1..], StringComparison.Ordinal));

    private static object? Tell(FigureStyle style, object? text) => text is string s ? style.Tell(s) : text;

    private static object? TellStated(FigureStyle style, object? stated) =>
        stated is Message m ? Message.Quote(style.Tell(m)) : stated;

    private static object? TellAllStated(FigureStyle style, object? stated) =>
        stated is IReadOnlyList<Message> list ? list.Select(m => Message.Quote(style.Tell(m))).ToList() : stated;

    private static object? TellAll(FigureStyle style, object? texts) =>
        texts is IReadOnlyList<string> list ? list.Select(style.Tell).ToList() : texts;
}
