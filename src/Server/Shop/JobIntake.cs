using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Stations;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Reads what a job is opened with or changed to; what it lets through can be planned.</summary>
internal sealed class JobIntake(LibraryCache shop, JobOrders orders, Store.Jobs jobs)
{
    /// <exception cref="InputException">Every broken rule.</exception>
    public JobFields Read(NewJob body)
    {
        var faults = new List<InputFault>(JobRules.Words(body.Title, body.Client, body.Bench));
        if (body.MachineId is not null)
            body = OfMachine(body, faults);
        Refuse(faults);
        if (Signer.WhyNot(body.By) is { } who)
            faults.Add(new("/by", who));
        Pieces(body, faults);
        body = body with { Pairs = body.Pairs ?? OnEach(body.BlockId, body.Pieces) };
        Pairs(body.BlockId, body.Pairs, faults);
        Refuse(faults);
        var pieces = body.CardId is null ? body.Pieces ?? [new("A", body.BoardId!)] : [];
        var seat = body.Seat ?? OwnSeat(pieces);
        Seat(seat, pieces, faults);
        Refuse(faults);
        var work = Text(body.Pieces, body.Pairs, seat, body.MachineId);
        var fields = new JobFields(body.Title, body.Client, body.Bench)
        {
            BoardId = body.CardId is not null ? null : body.Pieces?[0].BoardId ?? body.BoardId,
            CardId = body.CardId,
            BlockId =
                body.Pairs is { Count: > 0 } pairs ? pairs[0].BlockId
                : body.Pairs is null ? body.BlockId
                : null,
            Work = work is null ? null : JsonSerializer.Serialize(work, DocumentJson.Options),
        };
        Plates(Order(fields), faults);
        Refuse(faults);
        return fields;
    }

    /// <exception cref="InputException">Every broken rule.</exception>
    public JobFields Read(JobRow row, JobChange body)
    {
        var faults = new List<InputFault>(JobRules.Words(body.Title, body.Client, body.Bench));
        Pairs(body.BlockId, body.Pairs, faults);
        if (body.PasteId is { } p && shop.Drawer.Pastes.All(x => x.Material.Id != p))
            faults.Add(new("/pasteId", JobIntakeWords.DrawerHasNoPaste(p)));
        Refuse(faults);
        var had = JobOrders.Work(row);
        // a change that speaks of one block only leaves the others as they are
        var pairs = body.Pairs ?? OnEach(body.BlockId, had?.Pieces) ?? Others(had?.Pairs, body.BlockId);
        if (body.Seat is not null)
            Seat(body.Seat, row.BoardId is { } first ? had?.Pieces ?? [new("A", first)] : [], faults);
        Refuse(faults);
        var work = Text(had?.Pieces, pairs, body.Seat ?? had?.Seat, had?.Machine);
        var fields = new JobFields(body.Title, body.Client, body.Bench)
        {
            BoardId = row.BoardId,
            CardId = row.CardId,
            BlockId = pairs is { Count: > 0 } ? pairs[0].BlockId : body.BlockId,
            Work = work is null ? null : JsonSerializer.Serialize(work, DocumentJson.Options),
            PasteId = body.PasteId,
            PadChoices = JsonSerializer.Serialize(body.PadChoices ?? [], DocumentJson.Options),
        };
        var order = Order(fields, row.Id);
        Plates(order, faults);
        faults.AddRange(JobRules.PadChoices(order, body.PadChoices ?? [], shop.Drawer));
        Refuse(faults);
        return fields;
    }

    /// <summary>Null in the plain case.</summary>
    private static WorkText? Text(
        IReadOnlyList<WorkPiece>? pieces,
        IReadOnlyList<WorkPair>? pairs,
        WorkSeat? seat,
        string? machine
    ) => pieces is null && pairs is null && seat is null && machine is null ? null : new(pieces, pairs, seat, machine);

    /// <summary>A block with carriers goes on every module; null for any other.</summary>
    private IReadOnlyList<WorkPair>? OnEach(string? blockId, IReadOnlyList<WorkPiece>? pieces) =>
        pieces is { Count: > 0 }
        && blockId is not null
        && shop.Blocks.TryGetValue(blockId, out var block)
        && block.Carriers.Count > 0
            ? [.. pieces.Select((p, i) => new WorkPair($"{(char)(Pair.FirstKey[0] + i)}", blockId, p?.Key))]
            : null;

    /// <summary>
    /// The boards and blocks of a machine's cards; a card that is a job of the shop brings those of the job.
    /// </summary>
    private NewJob OfMachine(NewJob body, List<InputFault> faults)
    {
        if (!shop.Machines.TryGetValue(body.MachineId!, out var machine))
        {
            faults.Add(new("/machineId", MissingWords.LibraryHasNoMachine(body.MachineId)));
            return body;
        }
        var pieces = new List<WorkPiece>();
        var pairs = new List<WorkPair>();
        for (var i = 0; i < machine.Cards.Count; i++)
        {
            var card = machine.Cards[i];
            var (board, block) = card.Job is { } number ? OfJob(number, i, faults) : (card.Board, card.Block);
            if (card.Card is not null)
                faults.Add(new("/machineId", JobIntakeWords.CardIsOneOfSeveralBoards(card.Key)));
            if (board is null)
                continue;
            pieces.Add(new(card.Key, board));
            if (block is not null)
                pairs.Add(new($"{(char)(Pair.FirstKey[0] + pairs.Count)}", block, card.Key));
        }
        return body with { BoardId = null, BlockId = null, CardId = null, Pieces = pieces, Pairs = pairs };
    }

    /// <summary>
    /// The order that a job on this machine would be about; null with what is missing where that cannot be told.
    /// </summary>
    public (WorkOrder? Order, IReadOnlyList<string> Missing) Compute(Machine machine)
    {
        try
        {
            return (Order(Read(new NewJob(machine.Name, null, "Shelf", null, null, "QA", MachineId: machine.Id))), []);
        }
        catch (InputException e)
        {
            return (null, [.. e.Faults.Select(f => f.Message).Distinct()]);
        }
    }

    private (string? Board, string? Block) OfJob(int number, int at, List<InputFault> faults)
    {
        try
        {
            var row = jobs.Get(number);
            if (row is { BoardId: not null } && JobOrders.Work(row) is null or { Pieces: null })
                return (row.BoardId, row.BlockId);
            faults.Add(new("/machineId", JobIntakeWords.JobIsNotAboutOneBoard(number)));
        }
        catch (NotFoundException)
        {
            faults.Add(new("/machineId", JobIntakeWords.CardIsJob(at + 1, number)));
        }
        return (null, null);
    }

    /// <summary>A board that is a processor lies in the socket it is made for, where the library knows that.</summary>
    private WorkSeat? OwnSeat(IReadOnlyList<WorkPiece> pieces) =>
        pieces.Count > 0
        && shop.Boards.TryGetValue(pieces[0].BoardId, out var board)
        && board is { Kind: BoardKind.Processor, Socket: { } socket }
        && shop.Sockets.ContainsKey(socket)
            ? new(board.Id)
            : null;

    private void Seat(WorkSeat? seat, IReadOnlyList<WorkPiece> pieces, List<InputFault> faults)
    {
        if (seat is null)
            return;
        if (seat.TurnDeg is not null and not (>= -360 and <= 360))
            faults.Add(new("/seat/turnDeg", JobIntakeWords.ExpectedTurnFrom));
        if (!shop.Boards.TryGetValue(seat.ProcessorId ?? "", out var processor))
        {
            faults.Add(new("/seat/processorId", JobIntakeWords.LibraryHasNoProcessor(seat.ProcessorId)));
            return;
        }
        if (processor.Kind != BoardKind.Processor)
            faults.Add(new("/seat/processorId", $"\"{processor.Id}\" is no processor."));
        if (pieces.Count == 0)
        {
            faults.Add(new("/seat", JobIntakeWords.CardHasNoSocket));
            return;
        }
        var at = seat.On is null ? pieces[0] : pieces.FirstOrDefault(p => p.Key == seat.On);
        if (at is null || !shop.Boards.TryGetValue(at.BoardId, out var board))
        {
            faults.Add(new("/seat/on", MissingWords.OrderHasNoBoard(seat.On)));
            return;
        }
        var socket = board.Kind == BoardKind.Processor ? processor.Socket : board.Socket;
        if (socket is null || !shop.Sockets.ContainsKey(socket))
            faults.Add(
                new(
                    "/seat/on",
                    socket is null ? JobIntakeWords.NamesNoSocket(board.Id) : JobIntakeWords.LibraryHasNoSocket(socket)
                )
            );
    }

    private static void Refuse(List<InputFault> faults)
    {
        if (faults.Count > 0)
            throw new InputException(faults);
    }

    private static IReadOnlyList<WorkPair>? Others(IReadOnlyList<WorkPair>? had, string? blockId) =>
        had is not { Count: > 1 } ? null
        : blockId is null ? [.. had.Skip(1)]
        : [had[0] with { BlockId = blockId }, .. had.Skip(1)];

    /// <param name="job">0 for one that is not opened yet.</param>
    private WorkOrder Order(JobFields f, long job = 0) =>
        orders.Create(
            new(job, f.Title, f.Client, f.Bench, f.BoardId, f.BlockId, f.CardId, f.Work, null, "[]", 0, "", "", null)
        );

    private void Pieces(NewJob body, List<InputFault> faults)
    {
        if (body.CardId is { } card)
        {
            if (!shop.Cards.ContainsKey(card))
                faults.Add(new("/cardId", MissingWords.LibraryHasNoCard(card)));
            return;
        }
        if (body.Pieces is not { } pieces)
        {
            if (!shop.Boards.ContainsKey(body.BoardId ?? ""))
                faults.Add(new("/boardId", MissingWords.LibraryHasNoBoard(body.BoardId)));
            return;
        }
        if (pieces.Count is < 1 or > WorkOrder.MaxPieces)
            faults.Add(new("/pieces", JobIntakeWords.ExpectedToBoardsFound(WorkOrder.MaxPieces, pieces.Count)));
        for (var i = 0; i < pieces.Count; i++)
        {
            Key(pieces[i]?.Key, $"/pieces/{i}/key", faults);
            if (!shop.Boards.ContainsKey(pieces[i]?.BoardId ?? ""))
                faults.Add(new($"/pieces/{i}/boardId", MissingWords.LibraryHasNoBoard(pieces[i]?.BoardId)));
        }
        if (pieces.Select(p => p?.Key).Distinct().Count() != pieces.Count)
            faults.Add(new("/pieces", "Every key once."));
    }

    private void Pairs(string? blockId, IReadOnlyList<WorkPair>? pairs, List<InputFault> faults)
    {
        if (pairs is null)
        {
            if (blockId is { } b && !shop.Blocks.ContainsKey(b))
                faults.Add(new("/blockId", MissingWords.LibraryHasNoBlock(b)));
            return;
        }
        if (pairs.Count > WorkOrder.MaxPairs)
            faults.Add(new("/pairs", JobIntakeWords.ExpectedAtMostBlocksFound(WorkOrder.MaxPairs, pairs.Count)));
        for (var i = 0; i < pairs.Count; i++)
        {
            Key(pairs[i]?.Key, $"/pairs/{i}/key", faults);
            if (!shop.Blocks.ContainsKey(pairs[i]?.BlockId ?? ""))
                faults.Add(new($"/pairs/{i}/blockId", MissingWords.LibraryHasNoBlock(pairs[i]?.BlockId)));
        }
        if (pairs.Select(p => p?.Key).Distinct().Count() != pairs.Count)
            faults.Add(new("/pairs", "Every key once."));
    }

    private static void Key(string? key, string pointer, List<InputFault> faults)
    {
        if (key is not { Length: >= 1 and <= 12 } || !key.All(char.IsAsciiLetterOrDigit))
            faults.Add(new(pointer, JobIntakeWords.ExpectedToLettersAndDigits));
    }

    /// <summary>Every plate has its board in the order.</summary>
    private static void Plates(WorkOrder order, List<InputFault> faults)
    {
        for (var i = 0; i < order.Pairs.Count; i++)
        {
            var pair = order.Pairs[i];
            if (pair.On is { } on && order.Find(on) is null)
                faults.Add(new($"/pairs/{i}/on", MissingWords.OrderHasNoBoard(on)));
        }
    }
}
