using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>Where a block comes to rest: films, pads and screws in balance, rigid board.</summary>
public static class SeatingSolver
{
    /// <summary>A film thicker than this at any corner means the block floats, µm.</summary>
    public const double DefaultMaxBondLineUm = 100;

    /// <exception cref="InputException">The input does not describe a block that can come to rest.</exception>
    public static SeatingResult Solve(Board board, Block block, IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials, PasteMaterial paste, double maxBondLineUm = DefaultMaxBondLineUm)
    {
        var dies = new List<DieContact>();
        var squeezed = new List<PadContact>();
        var screwLoads = new List<ScrewLoad>();
        PlatePose? main = null;
        foreach (var model in PlateModel.For(board, block, pads, materials, paste))
        {
            var screws = model.Screws().ToList();
            if (screws.Count == 0) throw new InputException("/block/plates", $"Plate {model.Plate.Id} has no screws: nothing pulls it down.");
            var pose = PlateBalance.Solve([.. Contacts(model), .. screws.Select(s => s.Contact)], new(model.HomeMm + 0.05, 0, 0));
            main ??= pose;
            dies.AddRange(model.Films.Select(f => Die(f.Part, f.Film, pose, paste)));
            squeezed.AddRange(model.Pads.Select(p => new PadContact(p.Pad.Part, MeanSquash(p.Contact, pose), Load(p.Contact, pose))));
            screwLoads.AddRange(screws.Select(s => new ScrewLoad(s.Hole.Id, Math.Max(0, -Load(s.Contact, pose)))));
        }
        var (x, y) = main!.Value.TiltDeg;
        var floats = dies.Any(d => d.BondLinesUm.Any(b => b > maxBondLineUm));
        return new(dies, [x, y], squeezed, screwLoads, floats, main.Value.ZMm, Why(dies, squeezed, floats, maxBondLineUm));
    }

    internal static IEnumerable<Contact> Contacts(PlateModel model) =>
        [.. model.Films.Select(f => (Contact)f.Film), .. model.Pads.Select(p => p.Contact), .. model.Standoffs()];

    internal static DieContact Die(Part part, PasteFilm film, PlatePose pose, PasteMaterial paste)
    {
        double[] corners = [.. part.Corners().Select(c => film.FilmMm(pose.At(c)) * 1000)];
        return new(part.Id, corners, Load(film, pose), paste.PressureMPa(Math.Max(corners.Min(), 0.1)), part.MaxLoadN, part.MaxPressureMPa);
    }

    internal static double Load(Contact contact, PlatePose pose)
    {
        double sum = 0;
        foreach (var q in contact.Points) sum += contact.At(pose.At(q.X, q.Y)).Force * q.WeightMm2;
        return sum;
    }

    private static double MeanSquash(SqueezedPad pad, PlatePose pose)
    {
        double sum = 0, area = 0;
        foreach (var q in pad.Points) { sum += pad.Squash(pose.At(q.X, q.Y)) * q.WeightMm2; area += q.WeightMm2; }
        return area > 0 ? sum / area : 0;
    }

    private static string Why(List<DieContact> dies, List<PadContact> pads, bool floats, double limitUm)
    {
        if (dies.Count == 0) return "No die is under paste: the plate stands on its standoffs.";
        var films = dies.SelectMany(d => d.BondLinesUm).ToList();
        var film = films.Max() - films.Min() < 0.5 ? FormattableString.Invariant($"{films.Max():0}") : FormattableString.Invariant($"{films.Min():0}–{films.Max():0}");
        var load = dies.Sum(d => d.LoadN);
        var push = FormattableString.Invariant($"The pads push back {pads.Sum(p => p.LoadN):0} N, the die keeps {load:0} N");
        var limit = dies.Count == 1 && dies[0].MaxLoadN is { } max ? FormattableString.Invariant($" of {max:0} allowed") : "";
        return floats
            ? FormattableString.Invariant($"{push}{limit}. Its film is {film} µm, more than {limitUm:0}: the block floats.")
            : $"{push}{limit}. Its film is {film} µm: it does not float.";
    }
}
