using System.Globalization;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads a machine document, version 1: cards in slots and the rigid links between their ports.</summary>
public static class MachineReader
{
    public const string Format = "faithful-bracket/machine";

    private const int MaxCards = 12,
        MaxSlots = 40;

    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Every broken rule with its place.</exception>
    public static Machine Read(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        var faults = new List<InputFault>();
        var machine = Read(new ObjectReader(json.RootElement, "", faults));
        return faults.Count > 0 ? throw new InputException(faults) : machine;
    }

    /// <summary>Reads from an open object and adds faults to it; the result is only good when there are none.</summary>
    public static Machine Read(ObjectReader o)
    {
        DocumentRules.Head(o, Format);
        var count = 0;
        var cards = o.Objects("cards", c => Card(c, count++));
        var machine = new Machine
        {
            Id = DocumentRules.Id(o),
            Name = o.Text("name"),
            Cards = cards,
            SlotPitchMm = o.Number("slotPitchMm", 1, 200, otherwise: Machine.PlainPitchMm),
            Slots = o.OptionalInteger("slots", 1, MaxSlots),
            Links = o.Objects(
                "links",
                l => new MachineLink(
                    End(l.Object("from"), cards),
                    End(l.Object("to"), cards),
                    l.Number("minMm", 0, 1000),
                    l.Number("maxMm", 0, 1000),
                    l.Number("offsetMm", 0, 100, otherwise: 0)
                )
            ),
        };
        o.End();
        if (machine.Cards.Count is < 1 or > MaxCards)
            o.Fault("cards", MachineReaderWords.ExpectedToCardsFound(MaxCards, machine.Cards.Count));
        DocumentRules.Unique(o, "cards", machine.Cards.Select(c => c.Key));
        for (var i = 0; i < machine.Links.Count; i++)
            Check(o, machine, i);
        return machine;
    }

    private static void Check(ObjectReader o, Machine machine, int i)
    {
        var link = machine.Links[i];
        foreach (var (end, name) in new[] { (link.From, "from"), (link.To, "to") })
            if (!machine.Cards.Any(c => c.Key == end.Card))
                o.FaultAt($"links/{i}/{name}/card", MachineReaderWords.IsNotCardOfThisMachine(end.Card));
        if (link.From.Card == link.To.Card)
            o.FaultAt($"links/{i}/to/card", MachineReaderWords.LinkJoinsTwoCards);
        if (link.MaxMm < link.MinMm)
            o.FaultAt($"links/{i}/maxMm", MachineReaderWords.ExpectedNoLessThanMinMm);
    }

    private static MachineCard Card(ObjectReader o, int index)
    {
        var card = new MachineCard(
            o.Has("key") ? DocumentRules.Key(o) : ((char)('A' + index)).ToString(),
            o.OptionalInteger("job", 1, int.MaxValue),
            o.OptionalText("card"),
            o.OptionalText("board"),
            o.OptionalText("block"),
            o.Integer("slot", 1, MaxSlots)
        );
        if (new object?[] { card.Job, card.Card, card.Board }.Count(x => x is not null) != 1)
            o.Fault("board", MachineReaderWords.SayOneOfJobCard);
        else if (card.Job is null && card.Block is null)
            o.Fault("block", MachineReaderWords.MissingNameBlockThatGoes);
        return card;
    }

    /// <summary>A card by its key, or by the number of its slot.</summary>
    private static MachineLinkEnd End(ObjectReader o, List<MachineCard> cards)
    {
        var card =
            o.Raw("card") is { ValueKind: JsonValueKind.Number } n && n.TryGetInt32(out var slot)
                ? cards.Find(c => c.Slot == slot)?.Key ?? slot.ToString(CultureInfo.InvariantCulture)
                : o.Text("card", 12);
        var end = new MachineLinkEnd(card, o.Text("port"));
        o.End();
        return end;
    }
}
