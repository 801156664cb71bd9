# frozen_string_literal: true

module Verglas
  module Scenes
    # A machine with somebody on it, as it is drawn: one frame, x forward, y up, mm. Parts stand in the order in which
    # they are painted. Nothing of it is computed again where it is drawn.
    #   window       what of it is shown: { left:, bottom:, width:, height: }; floor: its y
    #   fade         [from, to]: between which two points a trunk fades in
    #   dimensions   numbers that stand in the picture (Dimension)
    #   targets      where a joint should lie and does (Target); lens: where their magnifier hangs: { x:, y:, scale: },
    #                nil for none
    #   points       {name => Point} between which the tape goes, for Machines::Constant#tape
    #   labels       what stands beside a part as printed (Label)
    #   poses        what moves, all along the movement, from where it turns (Pose); empty where it is not moved by hand
    #   drawn_share  which of them is what is drawn, by its share
    #   plate        a plate as one sees it standing before it (Plate); nil for none
    #   curve        what the movement asks over its range in N m (Curve); nil where nothing is told of it
    #   effort       the same of one load, by the share of the movement (Effort); nil where nothing is told of it
    # floor is nil where it is seen from above.
    Scene =
      Value.define(
        :window,
        :floor,
        :fade,
        :parts,
        :dimensions,
        :targets,
        :lens,
        :points,
        :labels,
        :poses,
        :drawn_share,
        :plate,
        :curve,
        :effort
      ) do
        # Labels, poses, a plate, a curve and the effort where there are some.
        def self.of(**fields)
          new(labels: [], poses: [], drawn_share: 0, plate: nil, curve: nil, effort: nil, **fields)
        end

        def part(id) = parts.find { |part| part.id == id }
      end

    # What one load asks of each joint along a movement, {joint => [[share, effort]]} (Mechanisms::Mechanism#efforts);
    # from which share it goes slack, nil for none; says: what it is a share of.
    Effort =
      Value.define(:lines, :slack_share, :says) do
        # nil where nothing is told.
        def self.of(mechanics, place, says)
          lines = mechanics.efforts(place)
          lines && new(lines: lines, slack_share: mechanics.slack_share(place), says: Telling::Says.of(says))
        end
      end

    # A mark beside what it sets, as printed; set: whether it stands there; of: the adjuster's label.
    Label = Value.define(:text, :at, :set, :of)

    # Where the parts that move are at a share of the movement (0 where it turns at the bottom), and the bends there,
    # {motion => degrees}, beside how far each may go (nil where nothing holds); split: how the effort is shared, {joint
    # => of a hundred}; at_deg, effort_nm: where it lies on the curve (nil where there is none); pad_mm: how far a pad
    # has gone along the limb since the start, + away from the joint (nil where none does).
    Pose =
      Value.define(:share, :parts, :deg, :limits, :split, :at_deg, :effort_nm, :pad_mm) do
        def self.of(**fields) = new(limits: {}, split: {}, at_deg: nil, effort_nm: nil, pad_mm: nil, **fields)
      end

    # Torque (N m) over an angle (degrees above level): [angle, torque] points of what is carried; plain: of body weight
    # alone, none where that is all; range: from where it turns to where it ends; tops: ends that are worth comparing
    # (CurveTop); says: what is turned about, as Says; estimated: whether the body's mass is; corner: of the picture
    # that is free for it (:bottom_right, :top_left), nil where none is.
    Curve = Value.define(:points, :plain, :range, :tops, :says, :estimated, :corner)
    # plain_nm: of body weight alone.
    CurveTop = Value.define(:deg, :nm, :plain_nm, :own)

    # A plate with feet on it, heights from its lower edge (mm): its length, its width (nil where not taped), the
    # foot's, a shoe's, where the heels stand, how far apart (mm) and how far turned out (degrees), and between which
    # two heights they may (nil where nowhere); says: what closes the lower and the upper end; closed: why nowhere, and
    # what would open it; choice: what places the feet.
    Plate =
      Value.define(
        :length_mm,
        :width_mm,
        :foot_mm,
        :shoe_mm,
        :heel_mm,
        :stance_mm,
        :turn_deg,
        :low_mm,
        :high_mm,
        :says,
        :closed,
        :choice
      )

    # A number between two points: of: the finding that it is, or :turning for where the client turns back; at: where it
    # is written, anchor: with which end of the writing there.
    Dimension = Value.define(:of, :from, :to, :at, :anchor, :value, :unit)

    # A finding in a plane: the place aimed at, the joint, and how far from it is still in line (mm).
    Target = Value.define(:finding, :at, :joint, :in_line_mm)
  end
end
