using System.Text.Json;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <summary>
/// One watch of the torque driver on one screw of a pass, turn by turn. A turn belongs to the screw that was watched
/// when it began: whatever the page does meanwhile, it is heard to its end and kept there.
/// </summary>
/// <param name="hand">Whose turns are kept; null for one who only watches.</param>
internal sealed class ScrewWatch(TurnTarget target, DriverHands.Hand? hand)
{
    private const int MaxSamples = 2000;
    private readonly List<DriverSample> _turn = [];
    private bool _isOurs;
    private volatile bool _unfinished;

    /// <summary>A turn that is kept here has begun and the driver has not stopped yet.</summary>
    public bool Unfinished => _unfinished;

    /// <summary>What the turn comes to so far; null for the rest of a turn that began before this watch.</summary>
    public TurnVerdict? Take(DriverSample sample)
    {
        // a new turn begins where the angle starts over
        if (_turn.Count > 0 && _turn[^1].Stopped)
            _turn.Clear();
        if (_turn.Count == 0)
        {
            if (!DriverWatch.BeginsTurn(target, sample))
                return null;
            _isOurs = hand is { IsLatest: true };
        }
        _turn.Add(sample);
        _unfinished = _isOurs && !sample.Stopped;
        return DriverWatch.Judge(target, _turn);
    }

    /// <summary>The turn that has just stopped, where it is kept here; null otherwise.</summary>
    public NewDriverTurn? Finished(TurnVerdict verdict, string stepId, string hole, FigureSource source, string? by)
    {
        if (!_isOurs || by is null || !_turn[^1].Stopped || verdict.State == TurnState.Turning)
            return null;
        // a long turn keeps as many samples evenly
        var every = 1 + _turn.Count / MaxSamples;
        return new(
            stepId,
            hole,
            EnumNames<TurnState>.Name(verdict.State),
            verdict.AngleDeg,
            verdict.TorqueNm,
            target.AngleDeg,
            target.TorqueNm,
            JsonSerializer.Serialize(
                _turn
                    .Where((_, i) => i % every == 0 || i == _turn.Count - 1)
                    .SelectMany(s => new[] { Math.Round(s.AngleDeg, 1), Math.Round(s.TorqueNm, 4) })
            ),
            source,
            by
        );
    }
}
