# frozen_string_literal: true

# Help on every rule, and what of a guide asks for it.
class HelpStation < Station
  helpers HelpView

  get("/help") do
    @title = "Help on rules"
    erb :help
  end

  get("/help/:rule") do
    @help = Norvel::Guide::Help.of(params[:rule]) or halt 404, page_of_error(Station::NO_PAGE)
    @title = "Help: #{@help.title}"
    erb :rule
  end
end
