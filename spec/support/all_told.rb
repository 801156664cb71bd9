# frozen_string_literal: true

# Everything that is told of a client on a machine, on bench, set-up list, card and record, for specs that read all of
# it.
module AllTold
  LEFT_ASIDE = %i[id code name label state action kind unit joint exercise kept].freeze

  # A gym that has nothing else.
  Alone = Class.new { def self.instead(_meeting) = [] }

  module_function

  # Every sentence and phrase, wherever it stands in what is answered.
  def texts(node)
    case node
    when Hash
      node.reject { |key, _| LEFT_ASIDE.include?(key.to_sym) }.values.flat_map { |value| texts(value) }
    when Array
      node.flat_map { |value| texts(value) }
    when String
      node.match?(/\p{L}{2}/) ? [node] : []
    else
      []
    end
  end

  # What is done and kept to: the steps, what is allowed, how one works, what stands beside the marks.
  def working(meeting)
    views = Verglas::Web::Views
    told = Verglas::Application::Told
    evaluation = meeting.advice.evaluation
    texts(
      [
        views::Steps.of(meeting),
        told::Allowed.of(meeting),
        told::Evaluation.of(evaluation, without: meeting.caution_effect.without, tempo: meeting.pace.tempo),
        views::Advice.of(meeting),
        views::Cautions.on_bench(meeting),
        meeting.voice.warnings.map { |says| Verglas::Formats::Words.of(says) }
      ]
    )
  end

  # What is answered to every sign that can be ticked there.
  def answers(meeting)
    names = Verglas::Guidance::Signs.of(meeting.machine)
    [
      *texts(
        Verglas::Web::Views::Signs.of(
          meeting.advice.evaluation,
          names,
          cues: Verglas::Application::SaidCues.new(meeting)
        )
      ),
      *names.map { |name| Verglas::Formats::Words.say("signs.#{name}") }
    ]
  end

  # What is told of it before anybody goes there; no other machine is asked.
  def predicted(meeting) = texts(Verglas::Web::Views::Predictions.send(:one, Alone, meeting))

  # What is kept of it for good.
  def record(meeting)
    texts(Verglas::Application::Record.computed_from(meeting, meeting.advice.evaluation).slice(:allowed, :cautions))
  end
end
