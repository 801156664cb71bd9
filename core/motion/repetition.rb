# frozen_string_literal: true

module Verglas
  module Motion
    # One repetition as it was read.
    #   low, top   shares of the arc: where it rose from (0 the start stop), where it turned (1 the end that was agreed)
    #   up, hold, down, pause   seconds; pause: until the next rise, nil after the last
    #   first_s   seconds of the part of up that was to be slow, nil where none was
    Repetition =
      Value.define(:low, :top, :up, :hold, :down, :pause, :first_s) do
        def range = top - low

        # Whether it rose from the start.
        def came_back? = low <= Tables[:motion][:back][:share]
      end
  end
end
