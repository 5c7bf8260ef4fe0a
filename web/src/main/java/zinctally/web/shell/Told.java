package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.support.SessionFlashMapManager;

/** What the next page tells is kept in the session; files tell nothing, so that none is read. */
@Component(DispatcherServlet.FLASH_MAP_MANAGER_BEAN_NAME)
class Told extends SessionFlashMapManager {
  @Override
  protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
    return SameForAll.FILES.matches(request) ? null : super.retrieveFlashMaps(request);
  }
}
